import { putOut } from '@/services/keys/members';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(putOut, { may: MEMBERS, asIs: true });
