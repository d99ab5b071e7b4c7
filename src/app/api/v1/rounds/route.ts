import { QUERIES } from '@/services/door/queries';
import { readRounds } from '@/services/rounds/rounds';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readRounds);
