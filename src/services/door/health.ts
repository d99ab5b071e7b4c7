import { pendingMigrations } from '@/store/migrations';
import { toProblem } from './problem';

/** Whether the database is reached and its schema is current. */
export async function readHealth(): Promise<{ status: number; body: Record<string, unknown> }> {
  try {
    const pending = await pendingMigrations();
    const body = { database: 'reached', migrations: pending.length === 0 ? 'current' : 'pending', pending };
    return { status: pending.length === 0 ? 200 : 503, body };
  } catch (error) {
    return { status: 503, body: { database: 'gone', ...toProblem(error).body } };
  }
}
