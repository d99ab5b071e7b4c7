import { QUERIES } from '@/services/door/queries';
import { readWeek } from '@/services/meals/week';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.meals, readWeek, { asIs: true });
