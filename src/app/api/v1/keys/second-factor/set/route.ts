import { setSecondFactor } from '@/services/keys/secondFactor';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(setSecondFactor, { may: MEMBERS, asIs: true });
