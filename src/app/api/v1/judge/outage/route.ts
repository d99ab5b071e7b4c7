import { judgeOutageRequest } from '@/services/outage/outage';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(judgeOutageRequest);
