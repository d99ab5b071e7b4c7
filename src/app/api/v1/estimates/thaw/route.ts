import { estimateThaw } from '@/services/calculators/heat';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => estimateThaw(await readBody(request)));
