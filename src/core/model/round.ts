import type { CalendarDate } from '../calendar/calendarDate';

/** What eyes and nose said of one thing; `missing`: it was not where it should be. */
export const FINDINGS = ['fine', 'turning', 'bad', 'missing'] as const;
export type Finding = (typeof FINDINGS)[number];

/** How a zone of a round stands; what is skipped stays due. */
export const ZONE_STEPS = ['open', 'walked', 'skipped'] as const;
export type ZoneStep = (typeof ZONE_STEPS)[number];

/** A walk along zones; half of one may be left, and others may walk it too. */
export interface Round {
  id: string;
  /** ISO 8601 UTC. */
  begun: string;
  ended: string | null;
  zones: { zone: string; name: string; step: ZoneStep }[];
}

/** What was seen of one package over all rounds, in days of its own clock: what a food's true keeping is learnt from. */
export interface Looked {
  package: string;
  food: string;
  /** When the clock that is watched began, and in which state it is kept. */
  began: CalendarDate;
  frozen: boolean;
  opened: boolean;
  /** The last day it was fine, and the first it was not; `null`: never seen so. */
  fineOn: CalendarDate | null;
  turnedOn: CalendarDate | null;
  /** The last look. */
  on: CalendarDate;
  finding: Finding;
  round: string;
  /** Not there since that day, told in that round; `null`: it is where it should be. */
  missing: { on: CalendarDate; round: string } | null;
}

/** How often a household looks, days; `null`: as the food says. */
export interface RoundRhythm {
  fridge: number | null;
  freezer: number | null;
}

/** A reset: everything out of some zones, wiped, and back. What is out stands on the counter with its clock. */
export interface Reset {
  id: string;
  /** ISO 8601 UTC. */
  begun: string;
  ended: string | null;
  called: string;
  zones: string[];
  wiped: boolean;
  /** What came out, as it was then. */
  out: { package: string; called: string; zone: string; amount: number; governing: CalendarDate }[];
}
