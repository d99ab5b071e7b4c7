import { undoRun } from '@/services/exchange/runs';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(undoRun, { may: ['cook'], asIs: true });
