import { amount, onPackage } from '../../schemas/words';
import { dateSchema } from '../../validate';
import { topUpPotCommand } from '@/core/ledger/package/topUpPot';
import { atDoor } from '../../atDoor';

export const topUpPotDoor = atDoor(topUpPotCommand, {
  ...onPackage,
  amount: amount.required().description('what is added, in the pot’s unit'),
  content: dateSchema.allow(null).default(null).description('the day what is added began; null: today'),
  cap: amount.allow(null).default(null).description('a new cap of the pot; null keeps it'),
});
