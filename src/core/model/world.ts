import type { CalendarDate } from '../calendar/calendarDate';
import type { Food } from './food';
import type { ApplianceDrawing } from './drawing';
import type { Container } from './container';
import type { Kept, KeptKind } from './kept';
import type { Caution } from './history';
import type { Haul, HaulLine, LearnedCode } from './haul';
import type { OutageClass, OutageVerdict } from './outageClass';
import type { Wish } from './wish';
import type { Package, Zone } from './package';
import type { HouseholdSettings, Job, Measured } from './setting';

/** A package that changed its place, came or left. */
export interface ZoneMove {
  /** ISO 8601 UTC, as it was told. */
  at: string;
  from: { here: boolean; zone: string | null };
  to: { here: boolean; zone: string | null };
  /** What it was made of then, or what was put to it: each lay in a zone until then. */
  of?: readonly { id: string; foodId: string; zoneId: string | null }[];
  /** It was missed: nobody took it. */
  lost?: boolean;
}

/** What a decision may look at: loaded and locked by the service, with clock and chance handed in. */
export interface World {
  /** The household's date of the command. */
  today: CalendarDate;
  /** The command's instant, ISO 8601 UTC. */
  at: string;
  /** The instant it is told, and its date in the household: later than `at` when it is told late. */
  now: string;
  nowOn: CalendarDate;
  /** The household's date of an instant, ISO 8601. */
  dayOf(instant: string): CalendarDate;
  currency: string;
  caution: Caution;
  settings: HouseholdSettings;
  /** The food as this household keeps it, its own wish counted in. */
  food(id: string): Food;
  /** The food without the household's wish, and whether it is its own. @throws when unknown */
  referenceFood(id: string): { food: Food; own: boolean; retired: boolean };
  /** Another food that a name would also mean; `null`: the name is free. */
  foodCalled(name: string): Food | null;
  wish(foodId: string): Wish;
  job(id: string): Job;
  /** A job as it stands, also when there is none with this id yet. */
  jobCalled(id: string): Job | null;
  /** An appliance as drawn now, with its version; `null`: there is none. */
  appliance(id: string): { drawing: ApplianceDrawing; version: number } | null;
  /** Ids of the appliances in the cook's own order. */
  order(): string[];
  measured(zoneId: string): Measured | null;
  /** What was read in a zone since the command that is undone, in order of time; empty for other commands. */
  readings(zoneId: string): Measured[];
  container(id: string): Container | null;
  haul(id: string): Haul | null;
  /** The haul that is open now; `null`: none. */
  openHaul(): Haul | null;
  haulLine(id: string): HaulLine | null;
  /** The lines of a haul in the order they were told. */
  haulLines(haulId: string): HaulLine[];
  /** What a scanned code stands for; `null`: nobody told yet. */
  learnedCode(code: string): LearnedCode | null;
  /** Something small the household keeps; `null`: it does not. */
  kept<K extends KeptKind>(kind: K, subject: string): Kept[K] | null;
  /** All of a kind, in the order of their subjects. */
  keptAll<K extends KeptKind>(kind: K): Kept[K][];
  /** Share of a compartment's litres that is filled, 0 to 1, where the command's needs name it. */
  fill(compartmentId: string): number;
  /** Where a package came from and went to, in order of time, since the instant that the command's needs name. */
  whereabouts(packageId: string): ZoneMove[];
  /** What is here that was made of a package since the command's instant, where that is told late. */
  madeOf(packageId: string): Package[];
  /** What a power cut that is not put away says of a package, where nobody decided it yet; `null`: nothing. */
  openVerdict(found: Package): { verdict: OutageVerdict; says: string } | null;
  /** The power-cut class of a food. @throws when unknown */
  outageClass(id: string): OutageClass;
  /** Above 32 °C where things stand out of the cold: each minute counts for two (K10). */
  hot: boolean;
  /** True when the zone is drawn. */
  hasZone(id: string): boolean;
  /** What is in the store and was loaded for this command, in no order. */
  loaded(): Package[];
  zone(id: string): Zone;
  package(id: string): Package;
  /** The package that carries a code. @throws when none does */
  carrying(code: string): Package;
  newId(): string;
  newCode(): string;
  newKey(): string;
}
