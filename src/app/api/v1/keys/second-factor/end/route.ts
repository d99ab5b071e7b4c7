import { endSecondFactor } from '@/services/keys/secondFactor';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(endSecondFactor, { may: MEMBERS, asIs: true });
