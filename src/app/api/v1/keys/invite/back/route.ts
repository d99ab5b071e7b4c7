import { takeInvitationsBack } from '@/services/keys/members';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(takeInvitationsBack, { may: MEMBERS, asIs: true });
