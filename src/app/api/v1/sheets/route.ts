import { QUERIES } from '@/services/door/queries';
import { readSheets } from '@/services/sheet/sheets';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readSheets);
