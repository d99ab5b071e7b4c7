import { readHealth } from '@/services/door/health';
import { only } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = only('GET', async () => {
  const { status, body } = await readHealth();
  return Response.json(body, { status, headers: { 'cache-control': 'no-store' } });
});
