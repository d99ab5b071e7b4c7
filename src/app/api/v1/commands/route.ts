import { runCommands } from '@/services/door/runCommands';
import { MEMBERS, takes } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(
  async (body) => ({ answers: await runCommands(body) }),
  { may: MEMBERS },
);
