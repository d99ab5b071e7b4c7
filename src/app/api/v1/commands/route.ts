import { runCommands } from '@/services/door/runCommands';
import { takes } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(async (body) => ({
  answers: await runCommands(body),
}));
