import { greedyPlacement } from '@/core/placement/greedyPlacement';
import {
  type PlacementModel,
  placementModel,
  type Possible,
  refusalOf,
  worthOf,
} from '@/core/placement/placementModel';
import type { PlacedFood, PlacingPackage, PlacingZone } from '@/core/placement/placing';
import { whatHelps } from '@/core/placement/whatHelps';
import { heavy } from './heavy';

/** What the solver finds in its time. */
async function solve({ lp, possible }: PlacementModel): Promise<Possible[]> {
  const chosen = await heavy('solveProgram', lp);
  return chosen.flatMap((name) => (/^x\d+$/.test(name) ? (possible[Number(name.slice(1))] ?? []) : []));
}

/** Up to so many placings the solver proves the best within its time; beyond, only the search comes near it. */
const SOLVER_MOST = 220;
const worth = (chosen: readonly Possible[]): number => chosen.reduce((sum, one) => sum + worthOf(one), 0);

/** The best placement that is found in its time: proven by the solver for few packages, by searching for many. */
async function place(
  zones: readonly PlacingZone[],
  packages: readonly PlacingPackage[],
  model: PlacementModel,
): Promise<Possible[]> {
  if (model.possible.length === 0) return [];
  const greedy = greedyPlacement(zones, packages, model.possible);
  // Each package in the best of all its zones cannot be bettered; then nobody need look on.
  const most = packages.reduce((sum, _, at) => {
    const mine = model.possible.filter((one) => one.package === at).map(worthOf);
    return sum + Math.max(0, ...mine);
  }, 0);
  if (worth(greedy) >= most - 1e-6) return greedy;
  if (model.possible.length > SOLVER_MOST)
    return heavy('searchedPlacement', zones, packages, model.possible, greedy);
  const solved = await solve(model);
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
export async function solvePlacement<Zone extends PlacingZone>(
  zones: readonly Zone[],
  contents: readonly PlacedFood[],
  packages: readonly PlacingPackage[],
  pins: ReadonlyMap<string, string | null>,
): Promise<SolvedPlacement<Zone>> {
  const model = placementModel(zones, contents, packages, (found) => pins.get(found.id) ?? null);
  const chosen = await place(zones, packages, model);
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
