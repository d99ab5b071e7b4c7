import { QUERIES } from '@/services/door/queries';
import { readLeaving } from '@/services/leaving/leaving';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readLeaving);
