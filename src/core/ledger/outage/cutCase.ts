import { needsCooking } from '../../foods/needsCooking';
import type { Needs } from '../../model/command';
import type { Cut } from '../../model/cut';
import type { Package } from '../../model/package';
import type { World } from '../../model/world';
import { assembleCut, type CutRecord, type JudgedCut } from '../../powercut/assembleCut';
import type { CutKitchen, CutPackage } from '../../powercut/cutThing';
import { logReadings, logSubjectsOf } from '../../powercut/logReadings';
import { asCutPackage, withRows } from '../../powercut/openVerdicts';

/** A cut after those that add up with it; nothing when it is not kept. */
const rowOf = (id: string, cuts: readonly Cut[]): Cut[] =>
  withRows(
    cuts.filter((one) => one.id === id),
    cuts,
  );

/** What a command needs that judges by a cut. */
export const cutNeeds = (id: string): Needs => ({
  kept: ['cut', 'cut-reading', 'cut-opening', 'cut-seen', 'cut-decided'],
  whereaboutsSince: (cuts) => rowOf(id, cuts)[0]?.from ?? null,
  logDays: (cuts, now) => logSubjectsOf(rowOf(id, cuts), now),
});

/** All that the world keeps of a cut. */
export function recordOf(cut: Cut, world: World): CutRecord {
  const cuts = world.keptAll('cut');
  return {
    cuts,
    readings: [
      ...world.keptAll('cut-reading'),
      ...logReadings(rowOf(cut.id, cuts), (day) => world.kept('log-day', day), world.now),
    ],
    openings: world.keptAll('cut-opening'),
    seen: world.keptAll('cut-seen'),
    decided: world.keptAll('cut-decided'),
  };
}

/** The kitchen as the world has it. */
export function kitchenOf(world: World): CutKitchen {
  const zones = world.order().flatMap((id) => world.appliance(id)?.drawing.zones ?? []);
  const parts = new Map(zones.map(({ id, compartmentId }) => [id, compartmentId]));
  return {
    movesOf: (id) => world.whereabouts(id),
    dayOf: (instant) => world.dayOf(instant),
    toCook: (id) => needsCooking(world.food(id)),
    classOf: (id) => world.food(id).outageClass,
    outageClass: (id) => world.outageClass(id),
    partOfZone: (zone) => parts.get(zone) ?? null,
    today: world.today,
  };
}

/** Packages with the verdicts of a cut as they stand now. */
export const judgedNow = (
  cut: Cut,
  record: CutRecord,
  packages: readonly Package[],
  world: World,
): JudgedCut<CutPackage>['judged'] =>
  assembleCut(cut, record, packages.map(asCutPackage), kitchenOf(world), world.now).judged;
