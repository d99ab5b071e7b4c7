import type { ApplianceDrawing } from '@/core/model/drawing';
import { chestProgram, readChestPlan, weeklyLifts } from '@/core/placement/chestPlan';
import { drawingOf } from '@/store/kitchens';
import { viewContext } from '../household/context';
import { readKitchenContents } from './kitchenContents';
import type { MoveView } from './kitchenCheck';
import { Problem } from '../door/problem';
import { heavy } from '../calculators/heavy';

/** One zone of a chest: what must come out first, what lies in it, how often it is reached for. */
export interface ChestZoneView {
  id: string;
  name: string;
  purpose: string;
  lifts: number;
  takes_per_week: number;
  foods: { called: string; packages: number; takes_per_week: number }[];
}

export interface ChestView {
  drawing: ApplianceDrawing;
  zones: ChestZoneView[];
  /** Lifts a week as it lies now, and as the plan has it. */
  lifts_now: number;
  lifts_planned: number;
  moves: MoveView[];
}

const tenth = (number: number): number => Math.round(number * 10) / 10;

/** The plan of a chest that keeps weekly lifts lowest, by how often each food was taken in the last 13 weeks. @throws Problem 404 */
export async function readChest(id: string): Promise<ChestView> {
  const context = await viewContext();
  const drawing = drawingOf(context.kitchen, id);
  if (drawing?.shape !== 'chest')
    throw new Problem(404, 'not-found', 'There is no such chest in this kitchen.');
  const { zones: all, lying, packages } = await readKitchenContents(context);
  const zones = all.filter(({ appliance }) => appliance === id);
  const inside = lying.filter((found) => zones.some((zone) => zone.id === found.zone));
  const plan =
    inside.length === 0
      ? new Map<string, string>()
      : readChestPlan(await heavy('solveProgram', chestProgram(zones, inside)), zones, inside);
  const nameOf = (zoneId: string): string => zones.find((zone) => zone.id === zoneId)?.name ?? '';
  const liftsOf = (zoneId: string): number => zones.find((zone) => zone.id === zoneId)?.lifts ?? 0;
  return {
    drawing,
    lifts_now: tenth(weeklyLifts(zones, inside, new Map())),
    lifts_planned: tenth(weeklyLifts(zones, inside, plan)),
    zones: zones.map((zone) => {
      const mine = inside.filter((found) => found.zone === zone.id);
      return {
        id: zone.id,
        name: zone.name,
        purpose: zone.purpose,
        lifts: zone.lifts,
        takes_per_week: tenth(mine.reduce((sum, { takesPerWeek }) => sum + takesPerWeek, 0)),
        foods: mine.map(({ called, codes, takesPerWeek }) => ({
          called,
          packages: codes.length,
          takes_per_week: tenth(takesPerWeek),
        })),
      };
    }),
    moves: inside.flatMap((found): MoveView[] => {
      const to = plan.get(found.id) ?? found.zone;
      if (to === found.zone) return [];
      const gain = tenth((liftsOf(found.zone) - liftsOf(to)) * found.takesPerWeek);
      return [
        {
          packages: (packages.get(found.id) ?? []).map(({ id: one, version, code }) => ({
            id: one,
            version,
            code,
          })),
          called: found.called,
          from: nameOf(found.zone),
          to: nameOf(to),
          to_zone: to,
          gain,
          says:
            gain > 0
              ? `${gain} lifts a week fewer`
              : `makes room: taken ${found.takesPerWeek === 0 ? 'hardly ever' : `${tenth(found.takesPerWeek)} times a week`}`,
        },
      ];
    }),
  };
}
