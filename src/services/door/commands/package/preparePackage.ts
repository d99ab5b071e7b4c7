import { plainText } from '../../validate';
import Joi from 'joi';
import { onPackage } from '../../schemas/words';
import { preparePackageCommand, PREPARE_WAYS } from '@/core/ledger/package/preparePackage';
import { atDoor } from '../../atDoor';

export const preparePackageDoor = atDoor(preparePackageCommand, {
  ...onPackage,
  way: Joi.string()
    .valid(...PREPARE_WAYS)
    .required(),
  note: plainText(200).allow('').default(''),
});
