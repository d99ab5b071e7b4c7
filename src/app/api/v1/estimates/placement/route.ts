import { estimatePlacement } from '@/services/calculators/placement';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => estimatePlacement(await readBody(request)));
