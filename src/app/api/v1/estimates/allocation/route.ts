import { readAllocation } from '@/services/allocation';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => readAllocation(await readBody(request)));
