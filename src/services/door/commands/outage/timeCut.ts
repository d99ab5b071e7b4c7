import { timeCutCommand } from '@/core/ledger/outage/timeCut';
import { instantSchema } from '../../validate';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const timeCutDoor = atDoor(timeCutCommand, {
  cut: uuid.required(),
  from: instantSchema.required(),
  until: instantSchema.allow(null).required().description('null: the power is still off'),
});
