import { QUERIES } from '@/services/door/queries';
import { readHaulView } from '@/services/haul/haul';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readHaulView, { asIs: true });
