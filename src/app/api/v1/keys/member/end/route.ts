import { endMembership } from '@/services/keys/members';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(endMembership, { may: MEMBERS, asIs: true });
