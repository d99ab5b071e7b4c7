import { removeHousehold } from '@/services/household/households';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(removeHousehold);
