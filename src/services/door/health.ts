import { statfs } from 'node:fs/promises';
import { sql } from '@/store/database';
import { pendingMigrations } from '@/store/migrations';
import { workersStanding } from '../calculators/heavy';
import { toProblem } from './problem';

/** A part of the kitchen's machine, and how it is. */
interface Part {
  state: 'good' | 'look' | 'bad';
  says: string;
}

const LEAST_FREE_MB = 200;
const MOST_SKEW_MS = 5_000;

async function disk(): Promise<Part> {
  const { bavail, bsize } = await statfs(process.cwd());
  const free = Math.floor((bavail * bsize) / 1_000_000);
  return { state: free < LEAST_FREE_MB ? 'look' : 'good', says: `${free} MB free where the server lies` };
}

/**
 * The clocks of server and store have to go together: days are counted by the one, order is kept by the other. The store told
 * its own somewhen between asking and hearing; that it answered late is no fault of its clock.
 */
async function clock(): Promise<Part> {
  const asked = Date.now();
  const [row] = await sql().rows<{ at: string }>('SELECT UTC_TIMESTAMP(3) AS at');
  const told = Date.parse(`${row?.at.replace(' ', 'T')}Z`);
  const skew = Math.max(asked - told, told - Date.now(), 0);
  return { state: skew > MOST_SKEW_MS ? 'look' : 'good', says: `${skew} ms from the store’s clock` };
}

function workers(): Part {
  const { waiting, threads, full } = workersStanding();
  return { state: full ? 'look' : 'good', says: `${threads} threads, ${waiting} waiting` };
}

/** Whether the database is reached and its schema is current, and how disk, clock and workers are. */
export async function readHealth(): Promise<{ status: number; body: Record<string, unknown> }> {
  try {
    const pending = await pendingMigrations();
    const current = pending.length === 0;
    const parts = {
      database: {
        state: current ? 'good' : 'bad',
        says: current ? 'reached, schema current' : 'schema behind',
      },
      disk: await disk(),
      clock: await clock(),
      workers: workers(),
    };
    const body = { database: 'reached', migrations: current ? 'current' : 'pending', pending, parts };
    return { status: current ? 200 : 503, body };
  } catch (error) {
    return { status: 503, body: { database: 'gone', ...toProblem(error).body } };
  }
}
