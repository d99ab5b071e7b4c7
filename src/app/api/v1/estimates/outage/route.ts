import { estimateOutage } from '@/services/outage/cutForecast';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => estimateOutage(await readBody(request)));
