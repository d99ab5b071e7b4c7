import { QUERIES } from '@/services/door/queries';
import { readHaulPlaces } from '@/services/haul/haulPlaces';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readHaulPlaces);
