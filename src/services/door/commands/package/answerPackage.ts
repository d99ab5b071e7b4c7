import Joi from 'joi';
import { ANSWERS } from '@/core/model/answer';
import { onPackage } from '../../schemas/words';
import { dateSchema } from '../../validate';
import { answerPackageCommand } from '@/core/ledger/package/answerPackage';
import { atDoor } from '../../atDoor';

export const answerPackageDoor = atDoor(answerPackageCommand, {
  ...onPackage,
  answer: Joi.string()
    .valid(...ANSWERS)
    .required(),
  on: dateSchema.allow(null).default(null).description('the day of a plan'),
});
