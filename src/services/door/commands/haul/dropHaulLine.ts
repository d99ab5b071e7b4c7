import { uuid, version } from '../../schemas/words';
import { dropHaulLineCommand } from '@/core/ledger/haul/dropHaulLine';
import { atDoor } from '../../atDoor';

export const dropHaulLineDoor = atDoor(dropHaulLineCommand, {
  line: uuid.required(),
  version: version.required(),
});
