import { QUERIES } from '@/services/door/queries';
import { readFoods } from '@/services/household/foods';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.foods, readFoods, { asIs: true });
