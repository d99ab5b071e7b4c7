import { signOut } from '@/services/keys/signIn';
import { takes } from '../../answers';
import { forgetKey } from '../remember';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => {
    await signOut(body);
    await forgetKey();
    return {};
  },
  { may: 'anyone', asIs: true },
);
