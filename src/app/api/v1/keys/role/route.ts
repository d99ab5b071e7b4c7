import { setRole } from '@/services/keys/members';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(setRole, { may: MEMBERS, asIs: true });
