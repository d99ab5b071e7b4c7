import Joi from 'joi';
import { onPackage } from '../../schemas/words';
import { findPackageCommand } from '@/core/ledger/package/findPackage';
import { atDoor } from '../../atDoor';

export const findPackageDoor = atDoor(findPackageCommand, {
  ...onPackage,
  finding: Joi.string().valid('turning', 'bad').required(),
});
