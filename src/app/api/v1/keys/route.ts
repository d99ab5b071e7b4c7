import { QUERIES } from '@/services/door/queries';
import { readMembers } from '@/services/keys/members';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readMembers, { asIs: true });
