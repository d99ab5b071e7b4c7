import Joi from 'joi';
import { addLogCommand, type ToldLog } from '@/core/ledger/outage/addLog';
import { atDoor } from '../../atDoor';
import { readingsSchema } from '../../schemas/readings';
import { uuid } from '../../schemas/words';
import { instantSchema } from '../../validate';

/** As many as a thermometer takes in twenty days, one every quarter of an hour. */
const MOST_READINGS = 2000;

export const addLogDoor = atDoor(
  addLogCommand,
  {
    part: uuid.required().description('the compartment that the thermometer stays in'),
    readings: readingsSchema(MOST_READINGS, [-60, 120])
      .min(1)
      .required()
      .description('its log, °C in the air; in any order'),
    battery: Joi.number().min(0).max(1).allow(null).default(null).description('share that is left'),
    its_clock: instantSchema
      .allow(null)
      .default(null)
      .description('what its own clock shows now: times are put right by it'),
    sure: Joi.boolean().default(false).description('looked at twice: odd readings are taken too'),
  },
  ({ its_clock: itsClock, ...told }: Omit<ToldLog, 'itsClock'> & { its_clock: string | null }) => ({
    ...told,
    itsClock,
  }),
);
