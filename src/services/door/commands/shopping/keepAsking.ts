import Joi from 'joi';
import { keepAskingCommand } from '@/core/ledger/shopping/keepAsking';
import { atDoor } from '../../atDoor';
import { plainText } from '../../validate';

export const keepAskingDoor = atDoor(keepAskingCommand, {
  words: plainText(120).min(1).required(),
  keep: Joi.boolean().default(true),
});
