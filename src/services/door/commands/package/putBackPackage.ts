import Joi from 'joi';
import { anyway, onPackage, uuid } from '../../schemas/words';
import { putBackPackageCommand } from '@/core/ledger/package/putBackPackage';
import { atDoor } from '../../atDoor';

/** A day. */
const MOST_MINUTES = 1440;

export const putBackPackageDoor = atDoor(putBackPackageCommand, {
  ...onPackage,
  minutes: Joi.number()
    .integer()
    .min(0)
    .max(MOST_MINUTES)
    .required()
    .description('out of the cold, as the cook remembers'),
  hot: Joi.boolean().default(false).description('above 32 °C where it stood'),
  zone: uuid.allow(null).default(null).description('null: where it lay before'),
  anyway,
});
