import Joi from 'joi';
import { eatMealCommand } from '@/core/ledger/meals/eatMeal';
import { atDoor } from '../../atDoor';
import { cookedLineSchema, type RawLine, toLine } from '../../schemas/line';
import { eaters } from '../../schemas/meal';
import { amount, uuid, version } from '../../schemas/words';

interface Raw {
  meal: string;
  takes: { package: string; version: number; amount: number | null }[];
  ate: string[];
  put: RawLine[];
}

export const eatMealDoor = atDoor(
  eatMealCommand,
  {
    meal: uuid.required(),
    takes: Joi.array()
      .items(
        Joi.object({
          package: uuid.required(),
          version: version.required(),
          amount: amount.allow(null).default(null).description('null: all of it'),
        }),
      )
      .max(60)
      .unique('package')
      .default([])
      .description('what really went in'),
    ate: eaters.default([]).description('who ate'),
    put: Joi.array()
      .items(cookedLineSchema)
      .max(12)
      .default([])
      .description('what was put by of it, cooked today'),
  },
  ({ put, ...told }: Raw) => ({ ...told, put: put.map(toLine) }),
);
