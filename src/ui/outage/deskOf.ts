import type { Cut, CutDecided, CutSeen } from '@/core/model/cut';
import { cutFacts } from '@/core/powercut/cutFacts';
import { cutThing } from '@/core/powercut/cutThing';
import { type CutFacts, type CutVerdict, judgeCut } from '@/core/powercut/judgeCut';
import type { DeskThing, DeskView } from '@/services/outage/cutDesk';

/** A package with its verdict, and what was decided of it already. */
export interface Judged {
  thing: DeskThing;
  verdict: CutVerdict;
  seen: CutSeen | null;
}

/** A cut as the desk shows it, judged in the page: with or without a network it is the same rule. */
export interface Desk {
  cut: Cut;
  facts: CutFacts;
  judged: Judged[];
  /** Decided and done. */
  done: CutDecided[];
  /** Came into these appliances after the power was back, so not judged. */
  cameLater: number;
}

/** Judges everything that went through the shown cut. @param now ISO 8601 UTC */
export function deskOf(view: DeskView, now: string): Desk | null {
  const cut = view.cuts.find(({ id }) => id === view.cut);
  if (!cut) return null;
  const classes = new Map(view.classes.map((one) => [one.id, one]));
  const parts = new Map(view.zones.map(({ id, part }) => [id, part]));
  const seen = new Map(view.seen.filter((one) => one.cut === cut.id).map((one) => [one.package, one]));
  const facts = cutFacts(cut, view);
  const settled = new Set(view.decided.flatMap(({ things }) => things.map((one) => one.package)));
  const things = view.things.flatMap((thing) => {
    const outageClass = classes.get(thing.class);
    if (!outageClass || settled.has(thing.id)) return [];
    const known = {
      outageClass,
      moves: thing.moves,
      seen: seen.get(thing.id) ?? null,
      partOfZone: (zone: string) => parts.get(zone) ?? null,
      today: view.today,
    };
    return [cutThing(thing, known)];
  });
  const byId = new Map(view.things.map((thing) => [thing.id, thing]));
  const verdicts = judgeCut(facts, things, now);
  const inCut = new Set(cut.parts.map(({ id }) => id));
  const lying = things.filter(({ stays }) => inCut.has(stays.at(-1)?.part ?? ''));
  const judgedIds = new Set(verdicts.map(({ id }) => id));
  return {
    cut,
    facts,
    judged: verdicts.flatMap((verdict) => {
      const thing = byId.get(verdict.id);
      return thing ? [{ thing, verdict, seen: seen.get(verdict.id) ?? null }] : [];
    }),
    done: view.decided,
    cameLater: lying.filter(({ id }) => !judgedIds.has(id)).length,
  };
}
