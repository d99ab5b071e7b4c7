import { endRoundCommand } from '@/core/ledger/rounds/endRound';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const endRoundDoor = atDoor(endRoundCommand, { round: uuid.required() });
