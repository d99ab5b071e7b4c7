import { estimatePortions } from '@/services/calculators/estimates';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(estimatePortions);
