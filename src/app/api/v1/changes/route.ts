import { QUERIES } from '@/services/door/queries';
import { readChanges } from '@/services/household/changes';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readChanges);
