import Joi from 'joi';
import { DISCARD_REASONS } from '@/core/model/package';
import { partOf } from '../../schemas/words';
import { discardPackageCommand } from '@/core/ledger/package/discardPackage';
import { atDoor } from '../../atDoor';

export const discardPackageDoor = atDoor(discardPackageCommand, {
  ...partOf,
  reason: Joi.string()
    .valid(...DISCARD_REASONS)
    .required(),
});
