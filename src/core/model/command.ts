import type { Cut } from './cut';
import type { KeptKind } from './kept';
import type { Decision, PastCommand } from './decision';
import type { HaulLine } from './haul';
import type { Role } from './role';
import type { World } from './world';

/** What every command carries besides its body. */
export interface Told {
  /** UUID; a repeated id answers as the first time. */
  id: string;
  type: string;
  /** When it happened, ISO 8601 UTC. */
  at: string;
}

/** The body of a command on one package. */
export interface OnPackage {
  package: string;
  /** The version the cook saw; another one is refused as stale. */
  version: number;
}

/** A zone that goes against the household's own rules was chosen all the same. */
export interface Placing {
  anyway?: boolean;
}

/** What a command needs fetched, and locked where it may change, before it is decided. The door fetches what is named here. */
export interface Needs {
  /** Packages by id, locked. */
  packages?: readonly string[];
  /** Told late: packages that were made of this one since it happened, locked. */
  madeOf?: string;
  /** Packages that carry these codes, locked. */
  carrying?: readonly string[];
  /** Packages that this meal was promised, locked. */
  packagesOfMeal?: string;
  /** All packages of these foods, locked; by id, name or alias. */
  foods?: readonly string[] | 'all';
  /** All packages that lie in these zones, locked. */
  zones?: readonly string[];
  /** All packages that lie in zones of these appliances, locked. */
  appliances?: readonly string[];
  hauls?: readonly string[];
  /** Lines of a haul, locked, with their haul and its other lines. */
  lines?: readonly string[];
  /** The haul that is open. */
  openHaul?: boolean;
  /** Scanned codes and what they stand for. */
  codes?: readonly string[];
  /** Small things the household keeps, all of these kinds. */
  kept?: readonly KeptKind[];
  /** Of these kinds only what is kept under these subjects. */
  keptUnder?: Partial<Record<KeptKind, readonly string[]>>;
  /** How full each compartment is. */
  fills?: boolean;
  jobs?: boolean;
  containers?: boolean;
  /** How many package codes it makes; told when its lines are loaded. */
  newCodes?: number | ((lines: readonly HaulLine[]) => number);
  /** Codes that are on labels already and that its packages keep; none of them is on another package, now or before. */
  keptCodes?: readonly string[];
  /** Since when it must be known where packages lay, from the cuts that are kept; `null`: not at all. */
  whereaboutsSince?: (cuts: readonly Cut[]) => string | null;
  /** Days of thermometers' logs, by the cuts that are kept and the instant it is now. */
  logDays?: (cuts: readonly Cut[], now: string) => readonly string[];
  /** What was read in these zones since the command that it speaks of. */
  readingsOf?: readonly string[];
}

/**
 * One kind of command, whole: what it is called, what it needs, how it decides, what the ledger says of it. It is undone by the
 * before-images of what it decided.
 */
export interface CommandKind<Body extends object = object> {
  readonly type: string;
  /** Who may tell it besides a cook; left out: nobody. */
  readonly may?: readonly Role[];
  /** Never in the ledger's list: one of many small steps of something that is told as a whole. */
  readonly unlisted?: true;
  /** The id of the earlier command that it speaks of. */
  pastOf?(body: Body): string;
  needs(body: Body, past: PastCommand | null): Needs;
  /** @throws Refusal, StaleVersion or StaleSetting */
  decide(command: Told & Body, world: World, past: PastCommand | null): Decision;
  /** What the ledger says; left out: what its first setting says, else its first event. */
  says?(decision: Decision, command: Told & Body): string;
}
