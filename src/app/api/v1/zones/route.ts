import { QUERIES } from '@/services/door/queries';
import { readZones } from '@/services/kitchen/zones';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readZones);
