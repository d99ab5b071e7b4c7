import Joi from 'joi';
import { setLevelCommand } from '@/core/ledger/shopping/setLevel';
import { LEVEL_KINDS } from '@/core/model/kept';
import { atDoor } from '../../atDoor';
import { packSize } from '../../schemas/packSize';
import { foodName } from '../../schemas/words';

export const setLevelDoor = atDoor(setLevelCommand, {
  food: foodName.required(),
  level: Joi.object({
    kind: Joi.string()
      .valid(...LEVEL_KINDS)
      .required(),
    packs: Joi.number().integer().min(1).max(200).required().description('meal packs'),
    size: packSize,
  })
    .allow(null)
    .required(),
});
