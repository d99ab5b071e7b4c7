import { addOwnHousehold } from '@/services/household/households';
import { takes } from '../../answers';
import { rememberHousehold } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(async (body) => {
  const added = await addOwnHousehold(body);
  await rememberHousehold(added.id);
  return added;
});
