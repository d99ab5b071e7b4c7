import { renewGuestKey } from '@/services/keys/members';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(renewGuestKey, { may: MEMBERS, asIs: true });
