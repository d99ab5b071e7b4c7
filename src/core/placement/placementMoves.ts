import { hardFault } from './hardRules';
import { shutByContents } from './neighbours';
import {
  isExposed,
  isFreezerZone,
  isRaw,
  type PlacedFood,
  type PlacingPackage,
  type PlacingZone,
} from './placing';
import { softScore } from './softScore';

/** A move of what lies somewhere already, with what it gains in points. */
export interface PlacementMove {
  food: string;
  from: string;
  to: string;
  gain: number;
  says: string;
}

/** A move is worth telling from this gain on, in points. */
const MIN_GAIN = 15;
const HARD_GAIN = 100;
const MAX_MOVES = 10;

/** Groups things by a key. */
function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): Map<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}

/** Moves of what lies there already, each a suggestion with its gain, the best first. The same food in one zone counts once. */
export function placementMoves(
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
): PlacementMove[] {
  const byId = new Map(zones.map((zone) => [zone.id, zone]));
  const beside = grouped(zones, ({ appliance }) => appliance);
  const lying = [
    ...new Map(contents.map((one) => [JSON.stringify([one.zone, one.food.id, one.closed]), one])).values(),
  ];
  const inside = grouped(lying, ({ zone }) => zone);
  const shut = shutByContents(zones, lying);
  const moves = lying.flatMap((placed): PlacementMove[] => {
    const { zone: from, food } = placed;
    const here = byId.get(from);
    if (!here) return [];
    const one: PlacingPackage = {
      id: '',
      food,
      state: isFreezerZone(here) ? 'frozen' : 'chilled',
      litres: 0,
      rigidMm: null,
      daysLeft: null,
      takesPerWeek: 0,
    };
    const drips = ({ id }: PlacingZone): boolean =>
      (isRaw(food) && shut.toRaw.has(id)) || (isExposed(placed) && shut.toExposed.has(id));
    const score = (zone: PlacingZone) => {
      const others = (inside.get(zone.id) ?? []).filter(
        (other) => other.food !== food || other.zone !== from,
      );
      return softScore(one, zone, beside.get(zone.appliance) ?? [], others);
    };
    const fault =
      hardFault(one, here) ??
      (drips(here) ? { says: 'raw juice could reach food that is eaten as it is' } : null);
    const now = score(here).points - (fault ? HARD_GAIN : 0);
    const [best] = zones
      .filter((zone) => zone.id !== from && hardFault(one, zone) === null && !drips(zone))
      .map((zone) => ({ zone, score: score(zone) }))
      .sort((a, b) => b.score.points - a.score.points);
    const gain = best ? best.score.points - now : 0;
    if (!best || gain < MIN_GAIN) return [];
    const why = fault ? fault.says : best.score.reasons.join('; ');
    return [
      { food: food.id, from, to: best.zone.id, gain: Number(gain.toFixed(1)), says: `${food.name}: ${why}` },
    ];
  });
  return moves.sort((a, b) => b.gain - a.gain).slice(0, MAX_MOVES);
}
