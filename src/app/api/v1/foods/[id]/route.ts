import { readFood } from '@/services/household/foodDetail';
import { respond } from '../../respond';

type Context = { params: Promise<{ id: string }> };

export const GET = (_request: Request, { params }: Context): Promise<Response> =>
  respond(async () => readFood((await params).id));
