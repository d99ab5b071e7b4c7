import { dateInZone } from '@/core/calendar/dateInZone';
import type { Cut, CutDecided } from '@/core/model/cut';
import { assembleCut, type Judged as JudgedPackage } from '@/core/powercut/assembleCut';
import type { CutFacts } from '@/core/powercut/judgeCut';
import type { DeskThing, DeskView } from '@/services/outage/cutDesk';

export type Judged = JudgedPackage<DeskThing>;

/** A cut as the desk shows it, judged in the page: with or without a network it is the same rule. */
export interface Desk {
  cut: Cut;
  facts: CutFacts;
  /** What is still to be decided, or keeps. */
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
  const { facts, judged, cameLater } = assembleCut(
    cut,
    view,
    view.things,
    {
      movesOf: (id) => view.moves[id] ?? [],
      dayOf: (instant) => dateInZone(instant, view.time_zone),
      toCook: (food) => view.foods[food]?.to_cook ?? false,
      classOf: (food) => view.foods[food]?.class ?? null,
      outageClass: (id) => classes.get(id) ?? null,
      partOfZone: (zone) => parts.get(zone) ?? null,
      today: view.today,
    },
    now,
  );
  return { cut, facts, judged: judged.filter(({ settled }) => !settled), done: view.decided, cameLater };
}
