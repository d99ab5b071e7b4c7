import Joi from 'joi';
import { THAW_METHODS } from '@/core/model/history';
import { uuid, anyway, onPackage } from '../../schemas/words';
import { thawPackageCommand } from '@/core/ledger/package/thawPackage';
import { atDoor } from '../../atDoor';

export const thawPackageDoor = atDoor(thawPackageCommand, {
  ...onPackage,
  method: Joi.string()
    .valid(...THAW_METHODS)
    .required(),
  zone: uuid.allow(null).default(null).description('a fridge zone, for the method fridge'),
  anyway,
});
