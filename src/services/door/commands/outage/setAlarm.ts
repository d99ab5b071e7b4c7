import Joi from 'joi';
import { setAlarmCommand } from '@/core/ledger/outage/setAlarm';
import type { Alarm } from '@/core/model/thermometer';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const setAlarmDoor = atDoor(
  setAlarmCommand,
  {
    part: uuid.required().description('the compartment'),
    alarm: Joi.object({
      above_c: Joi.number().min(-40).max(20).required().description('°C'),
      minutes: Joi.number().integer().min(1).max(1440).required(),
      begins: Joi.boolean().required().description('begins a power cut by itself'),
    })
      .allow(null)
      .required()
      .description('null: as usual'),
  },
  ({ part, alarm }: { part: string; alarm: (Omit<Alarm, 'aboveC'> & { above_c: number }) | null }) => ({
    part,
    alarm: alarm && { aboveC: alarm.above_c, minutes: alarm.minutes, begins: alarm.begins },
  }),
);
