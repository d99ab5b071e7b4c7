import { QUERIES } from '@/services/door/queries';
import { readLookBack } from '@/services/lookback/lookBack';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readLookBack);
