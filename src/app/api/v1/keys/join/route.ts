import { join } from '@/services/keys/join';
import { takes } from '../../answers';
import { rememberHousehold } from '../../households/remember';
import { rememberKey } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => {
    const { token, householdId } = await join(body);
    if (token !== null) await rememberKey(token);
    if (householdId !== null) await rememberHousehold(householdId);
    return {};
  },
  { may: 'anyone', asIs: true },
);
