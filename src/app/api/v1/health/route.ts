import { readHealth } from '@/services/door/health';

export const dynamic = 'force-dynamic';

export async function GET(): Promise<Response> {
  const { status, body } = await readHealth();
  return Response.json(body, { status, headers: { 'cache-control': 'no-store' } });
}
