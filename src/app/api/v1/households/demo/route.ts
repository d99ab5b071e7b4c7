import { demoPutBack } from '@/services/household/households';
import { takes } from '../../answers';
import { rememberHousehold } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(async (body) => {
  const back = await demoPutBack(body);
  await rememberHousehold(back.id);
  return back;
});
