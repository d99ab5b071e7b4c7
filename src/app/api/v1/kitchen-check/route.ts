import { QUERIES } from '@/services/door/queries';
import { readKitchenCheck } from '@/services/kitchen/kitchenCheck';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readKitchenCheck);
