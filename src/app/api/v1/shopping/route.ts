import { QUERIES } from '@/services/door/queries';
import { readShopping } from '@/services/shopping/shopping';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readShopping);
