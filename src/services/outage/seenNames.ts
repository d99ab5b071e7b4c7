import type { Seen } from '@/core/model/cut';

/** What was seen of one item, as the API says it. */
export interface RawSeen {
  ice_crystals?: boolean;
  measured_c?: number | null;
  mould?: boolean;
  slime?: boolean;
  off_smell?: boolean;
  seal_broken?: boolean;
  dripped_on?: boolean;
  flooded?: boolean;
}

const NAMES = {
  ice_crystals: 'iceCrystals',
  measured_c: 'measuredC',
  mould: 'mould',
  slime: 'slime',
  off_smell: 'offSmell',
  seal_broken: 'sealBroken',
  dripped_on: 'drippedOn',
  flooded: 'flooded',
} as const satisfies Record<keyof RawSeen, keyof Seen>;
const PAIRS = Object.entries(NAMES) as [keyof RawSeen, keyof Seen][];

/** What was seen, in the core's words; what was not looked at is not there. */
export const toSeen = (raw: RawSeen): Seen =>
  Object.fromEntries(PAIRS.flatMap(([key, name]) => (raw[key] === undefined ? [] : [[name, raw[key]]])));

/** The way back. */
export const toRawSeen = (seen: Seen): RawSeen =>
  Object.fromEntries(PAIRS.flatMap(([key, name]) => (seen[name] === undefined ? [] : [[key, seen[name]]])));
