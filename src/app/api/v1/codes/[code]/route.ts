import { readLearnedCode } from '@/services/haul/haul';
import { respond } from '../../respond';

export const GET = (_: Request, { params }: { params: Promise<{ code: string }> }): Promise<Response> =>
  respond(async () => readLearnedCode((await params).code.slice(0, 80)));
