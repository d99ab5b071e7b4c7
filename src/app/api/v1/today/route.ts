import { QUERIES } from '@/services/door/queries';
import { readToday } from '@/services/today/today';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.today, readToday);
