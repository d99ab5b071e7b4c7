import Joi from 'joi';
import { amount, onPackage, promised } from '../../schemas/words';
import { mergePackagesCommand } from '@/core/ledger/package/mergePackages';
import { atDoor } from '../../atDoor';

const MOST_JOINED = 20;

export const mergePackagesDoor = atDoor(mergePackagesCommand, {
  ...onPackage,
  with: Joi.array()
    .items(
      Joi.object({ ...onPackage, amount: amount.allow(null).default(null).description('null: all of it') }),
    )
    .min(1)
    .max(MOST_JOINED)
    .unique('package')
    .required(),
  promised,
});
