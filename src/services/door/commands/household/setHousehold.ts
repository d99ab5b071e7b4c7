import type { HouseholdSettings } from '@/core/model/setting';
import Joi from 'joi';
import { CAUTIONS } from '@/core/model/history';
import { setHouseholdCommand } from '@/core/ledger/household/setHousehold';
import { HOUSEHOLD_WORDS } from '../../schemas/household';
import { atDoor } from '../../atDoor';

/** As the API takes it. */
interface Raw {
  changes: Partial<HouseholdSettings>;
  renew_feed: boolean;
}

export const setHouseholdDoor = atDoor(
  setHouseholdCommand,
  {
    changes: Joi.object({
      ...HOUSEHOLD_WORDS,
      caution: Joi.string().valid(...CAUTIONS),
      notifyAt: Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/),
      leadChilled: Joi.number().integer().min(1).max(60),
      leadFrozen: Joi.number().integer().min(1).max(365),
    }).default({}),
    renew_feed: Joi.boolean().default(false).description('a new calendar address; the old one is shut'),
  },
  ({ renew_feed: renewFeed, ...told }: Raw) => ({
    ...told,
    renewFeed,
  }),
);
