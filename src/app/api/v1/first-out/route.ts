import { readFirstOutPage } from '@/services/today/today';
import { respond } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respond(() => {
    const { searchParams } = new URL(request.url);
    return readFirstOutPage({
      scope: searchParams.get('scope') ?? undefined,
      after: searchParams.get('after') ?? undefined,
    });
  });
