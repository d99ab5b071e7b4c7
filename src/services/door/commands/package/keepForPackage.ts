import Joi from 'joi';
import { onPackage } from '../../schemas/words';
import { dateSchema, plainText } from '../../validate';
import { keepForPackageCommand } from '@/core/ledger/package/keepForPackage';
import { atDoor } from '../../atDoor';

export const keepForPackageDoor = atDoor(keepForPackageCommand, {
  ...onPackage,
  whose: plainText(60).allow('').default(''),
  on: dateSchema.allow(null).default(null).description('the day it is kept for'),
  handsOff: Joi.boolean().default(false).description('taking it asks first'),
});
