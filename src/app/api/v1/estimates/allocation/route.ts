import { readAllocation } from '@/services/calculators/allocation';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => readAllocation(await readBody(request)));
