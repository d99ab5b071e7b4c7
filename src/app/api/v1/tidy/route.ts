import { QUERIES } from '@/services/door/queries';
import { readTidy } from '@/services/kitchen/kitchenCheck';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readTidy);
