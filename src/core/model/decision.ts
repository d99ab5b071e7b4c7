import type { LedgerEvent, Lot, Package } from './package';
import type { SettingEvent } from './setting';

/** What a command makes of the world: nothing is written until the store applies it. */
export interface Decision {
  lots: Lot[];
  events: LedgerEvent[];
  settings: SettingEvent[];
}

/** What is known of the command that is to be undone. */
export interface PastCommand {
  says: string;
  /** When it happened, ISO 8601 UTC. */
  at: string;
  /** True when an undo of it stands. */
  undone: boolean;
  /** In the order they happened. */
  events: readonly { before: Package | null; after: Package }[];
  settings: readonly SettingEvent[];
}

/** The decision of a command that only something happens to packages by. */
export const happened = (events: LedgerEvent[]): Decision => ({ lots: [], events, settings: [] });

/** The decision of a command that only sets something. */
export const wasSet = (...settings: SettingEvent[]): Decision => ({ lots: [], events: [], settings });

/**
 * Where a package was while what is undone stood: `out` counts the minutes out of the cold all the same, `cold` says that the
 * entry was wrong, `ask` refuses where it matters; `never`: it never left, looked at twice (L4).
 */
export const MEANWHILE = ['out', 'cold', 'never', 'ask'] as const;
export type Meanwhile = (typeof MEANWHILE)[number];
