import Joi from 'joi';
import { seeInCutCommand } from '@/core/ledger/outage/seeInCut';
import { atDoor } from '../../atDoor';
import { type RawSeen, toSeen } from '../../../outage/seenNames';
import { seenSchema } from '../../schemas/cut';
import { uuid } from '../../schemas/words';

/** As the API takes it. */
interface Raw {
  cut: string;
  packages: string[];
  seen?: RawSeen | null;
  to?: string | null;
}

export const seeInCutDoor = atDoor(
  seeInCutCommand,
  {
    cut: uuid.required(),
    packages: Joi.array().items(uuid).min(1).max(200).unique().required(),
    seen: seenSchema.allow(null).description('of all of them; left out: as before'),
    to: uuid.allow(null).description('the cool box they went into; null: they are back; left out: as before'),
  },
  ({ seen, ...told }: Raw) => ({
    ...told,
    ...(seen === undefined ? {} : { seen: seen === null ? null : toSeen(seen) }),
  }),
);
