import { stopRun } from '@/services/exchange/runs';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(stopRun, { may: ['cook'], asIs: true });
