import { Problem } from '@/services/door/problem';
import { respond } from '../v1/respond';

const nowhere = (): Promise<Response> =>
  respond(() => {
    throw new Problem(404, 'not-found', 'There is no such address. /api/v1/openapi.json lists them all.');
  });

export { nowhere as DELETE, nowhere as GET, nowhere as PATCH, nowhere as POST, nowhere as PUT };
