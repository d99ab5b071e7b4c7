import Joi from 'joi';
import { setRoundRhythmCommand } from '@/core/ledger/rounds/setRoundRhythm';
import { atDoor } from '../../atDoor';

const days = Joi.number()
  .integer()
  .min(1)
  .max(365)
  .allow(null)
  .default(null)
  .description('null: as the food says');

export const setRoundRhythmDoor = atDoor(setRoundRhythmCommand, {
  rhythm: Joi.object({ fridge: days, freezer: days }).required(),
});
