import { namedPerson } from '@/services/household/households';
import { MEMBERS, takes } from '../../answers';
import { rememberPerson } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => {
    const named = await namedPerson(body);
    await rememberPerson(named.name);
    return named;
  },
  { may: MEMBERS },
);
