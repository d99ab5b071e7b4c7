import { MOST_LINES } from '@/core/model/limits';
import Joi from 'joi';
import { lineSchema, type RawLine, toLine } from '../../schemas/line';
import { storeHaulCommand } from '@/core/ledger/haul/storeHaul';
import { atDoor } from '../../atDoor';

export const storeHaulDoor = atDoor(
  storeHaulCommand,
  { lines: Joi.array().items(lineSchema).min(1).max(MOST_LINES).required() },
  ({ lines, ...told }: { lines: RawLine[] }) => ({
    ...told,
    lines: lines.map(toLine),
  }),
);
