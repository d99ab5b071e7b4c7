import { signIn } from '@/services/keys/signIn';
import { takes } from '../../answers';
import { rememberKey } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => {
    const { token, name } = await signIn(body);
    await rememberKey(token);
    return { name };
  },
  { may: 'anyone', asIs: true },
);
