import { readLedgerPage } from '@/services/household/ledger';
import { queryNumber, respond } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respond(async () => {
    const { searchParams } = new URL(request.url);
    return readLedgerPage({
      after: searchParams.get('after') ?? undefined,
      limit: queryNumber(searchParams, 'limit', 200),
    });
  });
