import { invite } from '@/services/keys/members';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(invite, { may: MEMBERS, asIs: true });
