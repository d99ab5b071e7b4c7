import { readLog } from '@/services/outage/readLog';
import { takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(readLog);
