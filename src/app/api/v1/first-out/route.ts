import { QUERIES } from '@/services/door/queries';
import { readFirstOutPage } from '@/services/today/today';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.firstOut, readFirstOutPage);
