import { estimateKeeping } from '@/services/calculators/estimates';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => estimateKeeping(await readBody(request)));
