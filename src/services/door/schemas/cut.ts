import Joi from 'joi';
import { DOORS, type Seen } from '@/core/model/cut';

export const fill = Joi.number().min(0).max(1).description('share of its volume that is filled');
export const doors = Joi.string()
  .valid(...DOORS)
  .default('unknown');

/** What was seen of one item. */
export const seenSchema = Joi.object({
  ice_crystals: Joi.boolean(),
  measured_c: Joi.number().min(-60).max(60).allow(null),
  mould: Joi.boolean(),
  slime: Joi.boolean(),
  off_smell: Joi.boolean(),
  seal_broken: Joi.boolean(),
  dripped_on: Joi.boolean(),
  flooded: Joi.boolean(),
});

/** As the API says it. */
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

/** What was seen, in the core's words; what was not looked at is not there. */
export function toSeen(raw: RawSeen): Seen {
  const told = Object.entries(NAMES).filter(([key]) => raw[key as keyof RawSeen] !== undefined);
  return Object.fromEntries(told.map(([key, name]) => [name, raw[key as keyof RawSeen]])) as Seen;
}
