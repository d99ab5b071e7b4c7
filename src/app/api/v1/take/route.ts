import { QUERIES } from '@/services/door/queries';
import { readTake } from '@/services/take/take';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readTake);
