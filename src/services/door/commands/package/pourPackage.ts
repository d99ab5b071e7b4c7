import Joi from 'joi';
import { WRAPS } from '@/core/model/history';
import { FORMS } from '@/core/model/intakeLine';
import { onPackage } from '../../schemas/words';
import { pourPackageCommand } from '@/core/ledger/package/pourPackage';
import { atDoor } from '../../atDoor';

export const pourPackageDoor = atDoor(pourPackageCommand, {
  ...onPackage,
  wrap: Joi.string()
    .valid(...WRAPS)
    .required(),
  form: Joi.string()
    .valid(...FORMS)
    .allow(null)
    .default(null),
});
