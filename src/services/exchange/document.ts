import type { Hemisphere } from '@/core/calendar/hemisphere';
import type { Marks } from '@/core/model/food';
import type { Caution } from '@/core/model/history';

/** What a household's document calls itself, and its version: docs/formats/household.schema.json says what is in it. */
export const FORMAT = 'orderly-frost-household';
export const FORMAT_VERSION = 1;

/** The household itself, without its keys: the calendar and labels get new ones wherever it comes in. */
export interface DocumentHousehold {
  name: string;
  time_zone: string;
  currency: string;
  caution: Caution;
  units: 'metric' | 'us';
  decimals: 'point' | 'comma';
  date_order: 'dmy' | 'mdy';
  people: string[];
  /** Not in documents of before 0.16. */
  marks?: Marks;
  hemisphere?: Hemisphere;
  notify_at: string;
  lead_chilled: number;
  lead_frozen: number;
  /** How many package codes are spent. */
  next_code: number;
}

/** Settings of a household, as the ledger keeps them, hold the calendar’s key: it is left out of everything that goes out. */
export function withoutKeys(image: unknown): unknown {
  const { kind, value } = (image ?? {}) as { kind?: string; value?: Record<string, unknown> };
  return kind === 'household' && value ? { ...(image as object), value: { ...value, feedKey: '' } } : image;
}
