import { QUERIES } from '@/services/door/queries';
import { readFood } from '@/services/household/foodDetail';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, (_query, { id = '' }) => readFood(id));
