import { readStockPage } from '@/services/stock/stock';
import { queryNumber, respond } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respond(async () => {
    const { searchParams } = new URL(request.url);
    const text = (name: string): string | undefined => searchParams.get(name) ?? undefined;
    return readStockPage({
      q: text('q'),
      zone: text('zone'),
      state: text('state'),
      after: text('after'),
      limit: queryNumber(searchParams, 'limit', 500),
    });
  });
