import { QUERIES } from '@/services/door/queries';
import { readGuest } from '@/services/keys/guest';
import { MEMBERS, reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readGuest, { may: MEMBERS });
