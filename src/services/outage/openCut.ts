import { dateInZone } from '@/core/calendar/dateInZone';
import { needsCooking } from '@/core/foods/needsCooking';
import type { OpenVerdict } from '@/core/keeping/mayEat';
import type { Package } from '@/core/model/package';
import type { CutKitchen } from '@/core/powercut/cutThing';
import { logReadings, logSubjectsOf } from '@/core/powercut/logReadings';
import { openCuts, openVerdicts, withRows } from '@/core/powercut/openVerdicts';
import type { Sql } from '@/store/database';
import type { Household } from '@/store/households';
import type { Kitchen } from '@/store/kitchens';
import { readKept } from '@/store/kept';
import { readWhereabouts } from '@/store/whereabouts';
import type { Reference } from '../household/household';

/**
 * Reads what the power cuts bear on that are not put away, ready to ask of any packages; `null` where there is none, as almost always.
 *
 * @param now ISO 8601 UTC
 */
export async function readOpenCuts(
  sql: Sql,
  household: Household,
  { reference, kitchen }: { reference: Reference; kitchen: Kitchen },
  today: string,
  now: string,
): Promise<((packages: readonly Package[]) => Map<string, OpenVerdict>) | null> {
  if (!household.openCut) return null;
  const kept = await readKept(sql, household.id, [
    'cut',
    'cut-reading',
    'cut-opening',
    'cut-seen',
    'cut-decided',
  ]);
  const cuts = [...kept.cut.values()];
  const row = withRows(openCuts(cuts), cuts);
  const first = row.map(({ from }) => from).sort()[0];
  if (first === undefined) return null;
  const [moves, logs] = await Promise.all([
    readWhereabouts(sql, household.id, first),
    readKept(sql, household.id, [], { 'log-day': logSubjectsOf(row, now) }),
  ]);
  const parts = new Map(kitchen.zones.map(({ id, compartmentId }) => [id, compartmentId]));
  const asked: CutKitchen = {
    movesOf: (id) => moves.get(id) ?? [],
    dayOf: (instant) => dateInZone(instant, household.timeZone),
    toCook: (id) => needsCooking(reference.byId.get(id) ?? { readiness: 'ready-to-eat', group: '' }),
    classOf: (id) => reference.byId.get(id)?.outageClass ?? null,
    outageClass: (id) => reference.classes.get(id) ?? null,
    partOfZone: (zone) => parts.get(zone) ?? null,
    today,
  };
  const record = {
    cuts,
    readings: [...kept['cut-reading'].values(), ...logReadings(row, (day) => logs['log-day'].get(day), now)],
    openings: [...kept['cut-opening'].values()],
    seen: [...kept['cut-seen'].values()],
    decided: [...kept['cut-decided'].values()],
  };
  return (packages) => openVerdicts(record, packages, asked, now);
}
