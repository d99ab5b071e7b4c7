import { runCommands } from '@/services/door/runCommands';
import { readBody, respond } from '../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => ({ answers: await runCommands(await readBody(request)) }));
