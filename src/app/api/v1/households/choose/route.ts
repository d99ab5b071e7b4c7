import { chosenHousehold } from '@/services/household/households';
import { MEMBERS, takes } from '../../answers';
import { rememberHousehold } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => {
    const chosen = await chosenHousehold(body);
    await rememberHousehold(chosen.id);
    return chosen;
  },
  { may: MEMBERS },
);
