import { readToday } from '@/services/today/today';
import { respond } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respond(() => readToday({ scope: new URL(request.url).searchParams.get('scope') ?? undefined }));
