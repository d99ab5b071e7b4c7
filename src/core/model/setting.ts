import type { CalendarDate } from '../calendar/calendarDate';
import type { Hemisphere } from '../calendar/hemisphere';
import type { Food, Marks } from './food';
import type { Wish } from './wish';
import type { ApplianceDrawing } from './drawing';
import type { Haul, HaulLine, LearnedCode } from './haul';
import type { KeptSetting } from './kept';
import type { Container } from './container';
import type { Caution } from './history';
import type { Wording } from '../units/wording';

/** What a household decides for itself. */
export interface HouseholdSettings extends Wording {
  name: string;
  /** IANA name. */
  timeZone: string;
  /** ISO 4217. */
  currency: string;
  /** Day or month first in figures. */
  dateOrder: 'dmy' | 'mdy';
  /** Names of who lives there. */
  people: string[];
  /** Who of them is pregnant, under one, over 65 or ill (K14). */
  marks: Marks;
  /** Seasons are told by it. */
  hemisphere: Hemisphere;
  caution: Caution;
  /** Time of day of its heads-ups, `HH:MM` in its own time zone. */
  notifyAt: string;
  /** Days ahead of its date that chilled food is told of first. */
  leadChilled: number;
  leadFrozen: number;
  /** The secret part of the calendar's address. */
  feedKey: string;
}

/** A food of the household's own, and whether it may still be named. */
export interface OwnFood {
  food: Food;
  retired: boolean;
}

export const JOB_KINDS = ['round', 'upkeep'] as const;

/** Something that comes round: a walk along the zones, or upkeep of an appliance. */
export interface Job {
  id: string;
  kind: (typeof JOB_KINDS)[number];
  name: string;
  everyDays: number;
  lastOn: CalendarDate | null;
  /** Once, by this day; `null`: every so many days. */
  dueOn: CalendarDate | null;
  /** Frost measured when it was last looked at, mm; for defrosting. */
  frostMm: number | null;
  /** Not done any more; kept for the ledger. */
  retired: boolean;
}

/** What a thermometer, or the cook, read in a zone. */
export interface Measured {
  celsius: number;
  /** ISO 8601 UTC. */
  at: string;
}

/** A reading told after a later one: kept beside it; `null`: taken back. */
export interface OlderReading {
  celsius: number | null;
  at: string;
}

/** What is set rather than stored: one subject, whole, before and after. */
export type Setting =
  | { kind: 'household'; subject: ''; value: HouseholdSettings }
  | { kind: 'food'; subject: string; value: OwnFood }
  | { kind: 'wish'; subject: string; value: Wish }
  | { kind: 'job'; subject: string; value: Job }
  | { kind: 'appliance'; subject: string; value: ApplianceDrawing | null }
  | { kind: 'order'; subject: ''; value: string[] }
  | { kind: 'measured'; subject: string; value: Measured | null }
  | { kind: 'reading'; subject: string; value: OlderReading }
  | { kind: 'container'; subject: string; value: Container | null }
  | { kind: 'haul'; subject: string; value: Haul | null }
  | { kind: 'haul-line'; subject: string; value: HaulLine | null }
  | { kind: 'code'; subject: string; value: LearnedCode | null }
  | KeptSetting;

/** One thing that was set, with its images; goes into the same ledger as what happens to packages. */
export interface SettingEvent {
  /** What was set, in the past tense: `zone.measured`; `setting.undone` when it went back. */
  type: `${string}.${string}`;
  before: Setting | null;
  after: Setting;
  says: string;
}
