import { readPlaceChoices } from '@/services/kitchen/placeChoices';
import { respond } from '../../../respond';

type Context = { params: Promise<{ code: string }> };

export const GET = (request: Request, { params }: Context): Promise<Response> =>
  respond(async () =>
    readPlaceChoices((await params).code, new URL(request.url).searchParams.get('state') ?? 'chilled'),
  );
