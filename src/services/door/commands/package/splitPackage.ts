import Joi from 'joi';
import { amount, onPackage, pieces } from '../../schemas/words';
import { splitPackageCommand } from '@/core/ledger/package/splitPackage';
import { atDoor } from '../../atDoor';

const MOST_PARTS = 50;

export const splitPackageDoor = atDoor(splitPackageCommand, {
  ...onPackage,
  amounts: Joi.array()
    .items(amount.required())
    .min(1)
    .max(MOST_PARTS)
    .required()
    .description('what each new package gets; the rest stays'),
  pieces,
});
