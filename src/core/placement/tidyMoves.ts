import { bestPlace, type KitchenZone, type LyingPackage, scoreThere } from './lyingPackage';

/** One move that makes the kitchen better. */
export interface TidyMove {
  package: LyingPackage;
  from: KitchenZone;
  to: KitchenZone;
  gain: number;
  says: string;
}

/** A move is worth a walk from this gain on, in points. */
const WORTH_POINTS = 15;
const MOST_MOVES = 12;

/**
 * Moves of what lies in the kitchen, the one that gains most first, each reckoned after those before it: what breaks a hard
 * rule goes where it may, then what has a much better place. A move never breaks a rule and never needs room that is not there.
 */
export function tidyMoves(zones: readonly KitchenZone[], contents: readonly LyingPackage[]): TidyMove[] {
  let lying = [...contents];
  const free = new Map(zones.map(({ id, freeLitres }) => [id, freeLitres]));
  const moves: TidyMove[] = [];
  while (moves.length < MOST_MOVES) {
    const now = zones.map((zone) => ({ ...zone, freeLitres: free.get(zone.id) ?? 0 }));
    let best: TidyMove | null = null;
    for (const found of lying) {
      if (moves.some((move) => move.package.id === found.id)) continue;
      const here = scoreThere(found, now, lying);
      const better = bestPlace(found, now, lying);
      const from = now.find(({ id }) => id === found.zone);
      if (!better || !from) continue;
      const gain = better.score.points - here.points;
      if (gain < WORTH_POINTS || (best && gain <= best.gain)) continue;
      const says = here.fault ? here.fault.says : better.score.reasons.join('; ');
      best = { package: found, from, to: better.zone, gain: Math.round(gain * 10) / 10, says };
    }
    if (!best) break;
    const { id } = best.package;
    const { to, from } = best;
    free.set(from.id, (free.get(from.id) ?? 0) + best.package.litres);
    free.set(to.id, (free.get(to.id) ?? 0) - best.package.litres);
    lying = lying.map((found) => (found.id === id ? { ...found, zone: to.id } : found));
    moves.push(best);
  }
  return moves;
}

/** One door of the walk: what is taken out there, put in, or moved inside. */
export interface TidyStop {
  appliance: string;
  name: string;
  out: TidyMove[];
  inside: TidyMove[];
  into: TidyMove[];
}

/**
 * The walk that does the moves with the fewest doors opened: every appliance once, those first that only give; one that both
 * gives to and takes from another is opened a second time at the end.
 */
export function tidyWalk(moves: readonly TidyMove[]): TidyStop[] {
  const names = new Map(
    moves.flatMap(({ from, to }) => [from, to].map((zone) => [zone.appliance, zone.applianceName])),
  );
  const across = moves.filter(({ from, to }) => from.appliance !== to.appliance);
  const left = [...names.keys()];
  const stops: TidyStop[] = [];
  const done = new Set<TidyMove>();
  const visit = (appliance: string): void => {
    const out = across.filter((move) => move.from.appliance === appliance && !done.has(move));
    const into = across.filter(
      (move) => move.to.appliance === appliance && stops.some((stop) => stop.out.includes(move)),
    );
    out.forEach((move) => done.add(move));
    const inside = moves.filter(({ from, to }) => from.appliance === appliance && to.appliance === appliance);
    const again = stops.some((stop) => stop.appliance === appliance);
    stops.push({
      appliance,
      name: names.get(appliance) ?? '',
      out,
      inside: again ? [] : inside,
      into: into.filter((move) => !stops.some((stop) => stop.into.includes(move))),
    });
  };
  while (left.length > 0) {
    const ready = left.findIndex(
      (appliance) =>
        !across.some(({ from, to }) => to.appliance === appliance && left.includes(from.appliance)),
    );
    visit(left.splice(Math.max(0, ready), 1)[0] ?? '');
  }
  for (const move of across) {
    if (!stops.some((stop) => stop.into.includes(move))) visit(move.to.appliance);
  }
  return stops;
}
