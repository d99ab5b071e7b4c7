import { QUERIES } from '@/services/door/queries';
import { readFind } from '@/services/stock/find';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.find, readFind);
