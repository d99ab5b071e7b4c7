import { estimatePlacement } from '@/services/calculators/placement';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(estimatePlacement);
