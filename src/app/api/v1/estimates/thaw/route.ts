import { estimateThaw } from '@/services/calculators/heat';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(estimateThaw);
