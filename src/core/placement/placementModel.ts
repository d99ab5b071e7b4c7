import { hardFault, type PlacingRefusal } from './hardRules';
import { mayDrip, shutByContents } from './neighbours';
import { isExposed, isRaw, type PlacedFood, type PlacingPackage, type PlacingZone } from './placing';
import { type Score, softScore } from './softScore';

/** One package in one zone that no rule forbids by itself. */
export interface Possible {
  package: number;
  zone: number;
  score: Score;
}

/** An assignment with capacities, as a model for a solver of mixed-integer programs. */
export interface PlacementModel {
  possible: Possible[];
  /** For a package without any zone: what speaks against each. */
  faults: PlacingRefusal[][];
  /** The model in the LP format; variable x<i> is possible[i]. */
  lp: string;
}

/** Worth of placing a package at all, far above any score. */
const PLACED = 1000;
/** No score makes it better to leave a package standing. */
const LEAST = -900;

/** What a placing is worth to the whole: that it is placed at all, then its score. */
export const worthOf = ({ score }: Possible): number => PLACED + Math.max(LEAST, score.points);
const PER_LINE = 40;

const DRIP: PlacingRefusal = {
  rule: 'P3',
  says: 'Raw animal food never lies with food that is eaten as it is or only washed, nor above it unless in a leak-proof tray.',
};

function sum(terms: readonly string[]): string {
  const lines: string[] = [];
  for (let at = 0; at < terms.length; at += PER_LINE) lines.push(terms.slice(at, at + PER_LINE).join(' + '));
  return lines.join('\n + ').replaceAll('+ -', '- ');
}

/**
 * Builds the placement of a whole haul (RULES 4): every package at most once, no zone over its free litres, raw never with or
 * above what raw juice must not reach (P3), the most packages placed and of those the best score.
 *
 * @param pinnedTo the zone the cook chose for a package; `null`: any
 */
export function placementModel(
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
  packages: readonly PlacingPackage[],
  pinnedTo: (found: PlacingPackage) => string | null = () => null,
): PlacementModel {
  const shut = shutByContents(zones, contents);
  const possible: Possible[] = [];
  const faults = packages.map((found, p) =>
    zones.flatMap((zone, z): PlacingRefusal[] => {
      const drips =
        (isRaw(found.food) && shut.toRaw.has(zone.id)) || (isExposed(found) && shut.toExposed.has(zone.id));
      const fault = hardFault(found, zone) ?? (drips ? DRIP : null);
      if (fault) return [fault];
      const pinned = pinnedTo(found);
      if (pinned !== null && pinned !== zone.id) return [];
      possible.push({ package: p, zone: z, score: softScore(found, zone, zones, contents) });
      return [];
    }),
  );
  const rows: string[] = [];
  const of = (is: (one: Possible) => boolean): number[] =>
    possible.flatMap((one, at) => (is(one) ? [at] : []));
  packages.forEach((_, p) => {
    const mine = of((one) => one.package === p);
    if (mine.length > 0) rows.push(`once${p}: ${sum(mine.map((at) => `x${at}`))} <= 1`);
  });
  const raw = new Map<number, string>();
  const exposed = new Map<number, string>();
  zones.forEach((zone, z) => {
    const here = of((one) => one.zone === z);
    if (here.length === 0) return;
    const litres = here.map((at) => `${packages[possible[at]?.package ?? 0]?.litres.toFixed(4)} x${at}`);
    rows.push(`room${z}: ${sum(litres)} <= ${zone.freeLitres.toFixed(4)}`);
    for (const [kind, is, marks] of [
      ['w', ({ food }: PlacingPackage) => isRaw(food), raw],
      ['y', isExposed, exposed],
    ] as const) {
      const mine = here.filter((at) => is(packages[possible[at]?.package ?? 0] as PlacingPackage));
      if (mine.length === 0) continue;
      marks.set(z, `${kind}${z}`);
      for (const at of mine) rows.push(`mark${kind}${at}: x${at} - ${kind}${z} <= 0`);
    }
  });
  for (const [a, w] of raw) {
    for (const [b, y] of exposed) {
      if (mayDrip(zones[a] as PlacingZone, zones[b] as PlacingZone))
        rows.push(`drip${a}_${b}: ${w} + ${y} <= 1`);
    }
  }
  const worth = possible.map(
    ({ score }, at) => `${(PLACED + Math.max(LEAST, score.points)).toFixed(4)} x${at}`,
  );
  const binaries = [...possible.map((_, at) => `x${at}`), ...raw.values(), ...exposed.values()];
  const lp = [
    'Maximize',
    ` obj: ${worth.length > 0 ? sum(worth) : '0'}`,
    'Subject To',
    ...rows.map((row) => ` ${row}`),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n');
  return { possible, faults, lp };
}

/** What a cook can change about a zone, the easiest first: make room, unpack it, shut it off, measure it, change its rule. */
const CAN_CHANGE: readonly PlacingRefusal['rule'][] = ['P5', 'P6', 'P3', 'P2', 'P4', 'P1'];

/** The reason to tell for a package that got no place: of all that speaks against zones what the cook can change. */
export function refusalOf(
  found: PlacingPackage,
  faults: readonly PlacingRefusal[],
  zones: number,
): PlacingRefusal {
  if (zones === 0) return { rule: 'P5', says: 'There is no zone to put it in.' };
  if (faults.length < zones) {
    return {
      rule: isRaw(found.food) || isExposed(found) ? 'P3' : 'P5',
      says: 'The zones that would take it are full, or shut by what goes there too. Take something out, or split it smaller.',
    };
  }
  const [nearest] = [...faults].sort((a, b) => CAN_CHANGE.indexOf(a.rule) - CAN_CHANGE.indexOf(b.rule));
  return nearest as PlacingRefusal;
}
