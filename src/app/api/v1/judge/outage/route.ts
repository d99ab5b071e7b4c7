import { judgeOutageRequest } from '@/services/outage/outage';
import { readBody, respond } from '../../respond';

export const POST = (request: Request): Promise<Response> =>
  respond(async () => judgeOutageRequest(await readBody(request)));
