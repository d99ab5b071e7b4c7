import type { Cut, CutDecided, CutOpening, CutReading, CutSeen } from '../model/cut';
import type { OutageVerdict } from '../model/outageClass';
import { cutFacts } from './cutFacts';
import { type CutKitchen, type CutPackage, cutThing } from './cutThing';
import { type CutFacts, type CutVerdict, judgeCut } from './judgeCut';
import { tellsFrom, withoutLook } from './judgeInTime';
import { FROM_MILD } from './stricter';

/** All that is kept of power cuts. */
export interface CutRecord {
  cuts: readonly Cut[];
  readings: readonly CutReading[];
  openings: readonly CutOpening[];
  seen: readonly CutSeen[];
  decided: readonly CutDecided[];
}

/** A package with its verdict as it stands. */
export interface Judged<Its extends CutPackage = CutPackage> {
  thing: Its;
  verdict: CutVerdict;
  /** What still counts of what was seen: a look while the power was off tells nothing of all of the cut (O10). */
  seen: CutSeen | null;
  /** It was decided, and nothing since asks for more (O10). */
  settled: boolean;
}

/** A cut as it is judged. */
export interface JudgedCut<Its extends CutPackage = CutPackage> {
  facts: CutFacts;
  judged: Judged<Its>[];
  /** Lies in these places, and came in after the power was back. */
  cameLater: number;
}

const rank = (verdict: OutageVerdict): number => FROM_MILD.indexOf(verdict);

/** What was seen, without a look of a time before the end. */
function stillSeen(seen: CutSeen, cut: Cut, now: string): CutSeen {
  const from = tellsFrom(Date.parse(cut.until ?? now), cut.until === null);
  return (seen.at ?? '') < from ? { ...seen, seen: withoutLook(seen.seen) } : seen;
}

/** By package: when it was decided last, and how strictly. */
function decisionsOf(cut: Cut, decided: readonly CutDecided[]): Map<string, { at: string; rank: number }> {
  const found = new Map<string, { at: string; rank: number }>();
  for (const { cut: id, at, things } of decided) {
    if (id !== cut.id) continue;
    for (const { package: its, did, verdict } of things) {
      const before = found.get(its);
      if (before && before.at > at) continue;
      found.set(its, { at, rank: Math.max(rank(did), rank(verdict)) });
    }
  }
  return found;
}

/** The compartment of a zone: as it was drawn when the cut began, else as it is drawn now. */
function withZonesThen(cuts: readonly Cut[], kitchen: CutKitchen): CutKitchen {
  const then = new Map(
    cuts.flatMap(({ parts }) =>
      parts.flatMap(({ id, zones = [] }) => zones.map((zone) => [zone, id] as const)),
    ),
  );
  return { ...kitchen, partOfZone: (zone) => then.get(zone) ?? kitchen.partOfZone(zone) };
}

/**
 * Puts together all that is known of a cut and judges packages by it: the one way from what is kept to a verdict. A decision counts
 * when it was taken after the end, and as long as the verdict does not grow stricter; before, it only shortens (O10).
 *
 * @param now ISO 8601 UTC
 */
export function assembleCut<Its extends CutPackage>(
  cut: Cut,
  record: CutRecord,
  packages: readonly Its[],
  kitchen: CutKitchen,
  now: string,
): JudgedCut<Its> {
  const facts = cutFacts(cut, record);
  const then = withZonesThen([...facts.earlier, cut], kitchen);
  const seen = new Map(record.seen.filter((one) => one.cut === cut.id).map((one) => [one.package, one]));
  const byId = new Map(packages.map((one) => [one.id, one]));
  const things = packages.flatMap((one) => cutThing(one, seen.get(one.id) ?? null, then) ?? []);
  const verdicts = judgeCut(facts, things, now);
  const decisions = decisionsOf(cut, record.decided);
  const inCut = new Set(cut.parts.map(({ id }) => id));
  const judgedIds = new Set(verdicts.map(({ id }) => id));
  return {
    facts,
    judged: verdicts.flatMap((verdict) => {
      const thing = byId.get(verdict.id);
      const before = decisions.get(verdict.id);
      const settled =
        before !== undefined &&
        (cut.until === null || before.at >= cut.until) &&
        rank(verdict.verdict) <= before.rank;
      const looked = seen.get(verdict.id);
      return thing ? [{ thing, verdict, seen: looked ? stillSeen(looked, cut, now) : null, settled }] : [];
    }),
    cameLater: things.filter(({ id, stays }) => inCut.has(stays.at(-1)?.part ?? '') && !judgedIds.has(id))
      .length,
  };
}
