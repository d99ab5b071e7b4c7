import { setPassword } from '@/services/keys/signIn';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(setPassword, { may: MEMBERS, asIs: true });
