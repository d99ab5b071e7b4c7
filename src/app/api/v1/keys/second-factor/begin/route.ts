import { beginSecondFactor } from '@/services/keys/secondFactor';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(beginSecondFactor, { may: MEMBERS, asIs: true });
