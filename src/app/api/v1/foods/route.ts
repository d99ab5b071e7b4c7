import { readFoods } from '@/services/household/foods';
import { queryNumber, respond } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respond(async () => {
    const { searchParams } = new URL(request.url);
    return readFoods({
      q: searchParams.get('q') ?? undefined,
      after: searchParams.get('after') ?? undefined,
      limit: queryNumber(searchParams, 'limit', 500),
    });
  });
