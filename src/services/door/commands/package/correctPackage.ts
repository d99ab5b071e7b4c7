import Joi from 'joi';
import { amount, onPackage } from '../../schemas/words';
import { printedDate } from '../../schemas/printedDate';
import { dateSchema, plainText } from '../../validate';
import { correctPackageCommand } from '@/core/ledger/package/correctPackage';
import { atDoor } from '../../atDoor';

export const correctPackageDoor = atDoor(correctPackageCommand, {
  ...onPackage,
  amount: amount.description('what is in it, in its unit; left out, it stays'),
  printed: printedDate.allow(null).description('null: none is printed; left out, it stays'),
  startOn: dateSchema.description('the day it was bought, cooked, harvested or given'),
  frozenOn: dateSchema.description('the day it was frozen'),
  reason: plainText(120).min(1).required(),
  sure: Joi.boolean().default(false).description('looked at twice: it may keep longer by that'),
});
