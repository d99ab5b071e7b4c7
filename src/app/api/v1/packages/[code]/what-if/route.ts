import { readWhatIf } from '@/services/stock/whatIf';
import { respond } from '../../../respond';

type Context = { params: Promise<{ code: string }> };

export const GET = (_request: Request, { params }: Context): Promise<Response> =>
  respond(async () => readWhatIf((await params).code));
