import { renewFiguresCommand } from '@/core/ledger/household/renewFigures';
import { atDoor } from '../../atDoor';

export const renewFiguresDoor = atDoor(renewFiguresCommand, {});
