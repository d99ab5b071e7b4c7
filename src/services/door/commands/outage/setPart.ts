import { plainText } from '../../validate';
import Joi from 'joi';
import { setPartCommand } from '@/core/ledger/outage/setPart';
import { TELLTALES, USUAL_ROOM_C } from '@/core/model/cut';
import { atDoor } from '../../atDoor';
import { doors, fill } from '../../schemas/cut';
import { uuid } from '../../schemas/words';

export const setPartDoor = atDoor(setPartCommand, {
  cut: uuid.required(),
  part: Joi.object({
    id: uuid.required().description('of a compartment, else of a cool box or a neighbour’s'),
    called: plainText(60).min(1).description('of what nobody drew'),
    kind: Joi.string().valid('fridge', 'freezer').description('of what nobody drew'),
    fill: fill.required(),
    doors,
    telltale: Joi.string()
      .valid(...TELLTALES)
      .default('none'),
    looked: Joi.boolean().description('its telltale was looked at just now, and shows the same as before'),
    roomC: Joi.number().min(-20).max(50).default(USUAL_ROOM_C).description('°C around it'),
    iceKg: Joi.number().min(0).max(200).default(0),
    waterKg: Joi.number().min(0).max(200).default(0).description('bottles of water'),
  }).required(),
  off: Joi.boolean().default(false).description('it had power after all'),
});
