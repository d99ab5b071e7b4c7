import { estimateOutage } from '@/services/outage/cutForecast';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(estimateOutage);
