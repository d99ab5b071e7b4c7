import { judgePassword } from '@/services/keys/signIn';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(judgePassword, { may: 'anyone', asIs: true });
