import Joi from 'joi';
import { setRhythmCommand } from '@/core/ledger/meals/setRhythm';
import { DAY_HABITS, DIETS } from '@/core/model/meal';
import { APPETITES } from '@/core/portions/portionGrams';
import { atDoor } from '../../atDoor';
import { eater, slot } from '../../schemas/meal';
import { plainText } from '../../validate';

export const setRhythmDoor = atDoor(setRhythmCommand, {
  rhythm: Joi.object({
    slots: Joi.array()
      .items(
        Joi.object({
          id: slot,
          name: plainText(40).min(1).required(),
          at: Joi.string()
            .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
            .required()
            .description('time of day on the plate'),
        }),
      )
      .max(8)
      .unique('id')
      .required(),
    eaters: Joi.array()
      .items(
        Joi.object({
          name: eater.required(),
          appetite: Joi.string()
            .valid(...APPETITES)
            .default('usual'),
          diet: Joi.string()
            .valid(...DIETS)
            .default('everything'),
        }),
      )
      .max(40)
      .required(),
    habits: Joi.array()
      .items(
        Joi.object({
          weekday: Joi.number().integer().min(0).max(6).required().description('0 Sunday to 6 Saturday'),
          slot,
          what: Joi.string()
            .valid(...DAY_HABITS)
            .required(),
        }),
      )
      .max(60)
      .default([]),
    apart: Joi.boolean().default(false).description('no meat and dairy in one meal'),
  }).required(),
});
