import { QUERIES } from '@/services/door/queries';
import { readReset } from '@/services/rounds/reset';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readReset);
