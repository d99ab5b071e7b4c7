import { readPackage } from '@/services/stock/package';
import { respond } from '../../respond';

export const GET = (
  _request: Request,
  { params }: { params: Promise<{ code: string }> },
): Promise<Response> => respond(async () => readPackage((await params).code));
