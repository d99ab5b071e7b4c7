import { haulLine } from '../../schemas/haulLine';
import { version } from '../../schemas/words';
import { setHaulLineCommand } from '@/core/ledger/haul/setHaulLine';
import { atDoor } from '../../atDoor';

export const setHaulLineDoor = atDoor(setHaulLineCommand, {
  line: haulLine.required(),
  version: version.allow(null).required(),
});
