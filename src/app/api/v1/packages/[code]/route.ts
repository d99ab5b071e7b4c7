import { readPackage } from '@/services/package';
import { respond } from '../../respond';

export const GET = (
  _request: Request,
  { params }: { params: Promise<{ code: string }> },
): Promise<Response> => respond(async () => readPackage((await params).code));
