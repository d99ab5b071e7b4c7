import { prove } from '@/services/keys/prove';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(prove, { may: MEMBERS, asIs: true });
