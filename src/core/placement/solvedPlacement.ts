import { greedyPlacement } from './greedyPlacement';
import { type PlacementModel, placementModel, type Possible, refusalOf, worthOf } from './placementModel';
import type { PlacedFood, PlacingPackage, PlacingZone } from './placing';
import type { searchedPlacement } from './searchedPlacement';
import { whatHelps } from './whatHelps';

type Promised<Work extends (...given: never[]) => unknown> = (
  ...given: Parameters<Work>
) => Promise<ReturnType<Work>> | ReturnType<Work>;

/** How the hard part is worked out: a solver of mixed-integer programs (the names of the binaries that are set), and a search. */
export interface PlacementSolvers {
  solve(program: string): Promise<string[]>;
  search: Promised<typeof searchedPlacement>;
}

/** Up to so many placings the solver proves the best within its time; beyond, only the search comes near it. */
const MAX_SOLVED = 220;
const worth = (chosen: readonly Possible[]): number => chosen.reduce((sum, one) => sum + worthOf(one), 0);

/** The best placement that is found in its time: proven by the solver for few packages, by searching for many. */
async function place(
  zones: readonly PlacingZone[],
  packages: readonly PlacingPackage[],
  { lp, possible }: PlacementModel,
  { solve, search }: PlacementSolvers,
): Promise<Possible[]> {
  if (possible.length === 0) return [];
  const greedy = greedyPlacement(zones, packages, possible);
  // Each package in the best of all its zones cannot be bettered; then nobody need look on.
  const best = packages.map(() => 0);
  for (const one of possible) best[one.package] = Math.max(best[one.package] ?? 0, worthOf(one));
  if (worth(greedy) >= best.reduce((sum, one) => sum + one, 0) - 1e-6) return greedy;
  if (possible.length > MAX_SOLVED) return search(zones, packages, possible, greedy);
  const solved = (await solve(lp)).flatMap((name) =>
    /^x\d+$/.test(name) ? (possible[Number(name.slice(1))] ?? []) : [],
  );
  return worth(solved) >= worth(greedy) ? solved : greedy;
}

/** A placement of packages: where each goes and why, or what keeps it out and what would help. */
export interface SolvedPlacement<Zone extends PlacingZone> {
  assignments: { package: PlacingPackage; zone: Zone; score: Possible['score'] }[];
  refused: { package: PlacingPackage; rule: string; says: string; helps: string[] }[];
}

/**
 * Places packages, all at once (RULES 4).
 *
 * @param pins zone ids the cook chose, by package id; hard rules hold there too
 */
export async function solvedPlacement<Zone extends PlacingZone>(
  zones: readonly Zone[],
  contents: readonly PlacedFood[],
  packages: readonly PlacingPackage[],
  pins: ReadonlyMap<string, string | null>,
  solvers: PlacementSolvers,
): Promise<SolvedPlacement<Zone>> {
  const model = placementModel(zones, contents, packages, (found) => pins.get(found.id) ?? null);
  const chosen = await place(zones, packages, model, solvers);
  const placed = new Set(chosen.map((one) => one.package));
  const free = new Map(zones.map((zone) => [zone.id, zone.freeLitres]));
  const assignments = chosen.flatMap(({ package: p, zone: z, score }) => {
    const [found, zone] = [packages[p], zones[z]];
    if (!found || !zone) return [];
    free.set(zone.id, (free.get(zone.id) ?? 0) - found.litres);
    return [{ package: found, zone, score }];
  });
  const refused = packages.flatMap((found, p) => {
    if (placed.has(p)) return [];
    const refusal = refusalOf(found, model.faults[p] ?? [], zones.length);
    return [{ package: found, ...refusal, helps: whatHelps(found, refusal, zones, free) }];
  });
  return { assignments, refused };
}
