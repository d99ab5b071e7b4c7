import { estimatePortions } from '@/services/calculators/estimates';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => estimatePortions(await readBody(request)));
