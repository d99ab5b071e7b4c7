import { readAllocation } from '@/services/calculators/allocation';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(readAllocation);
