import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { Refusal } from '@/core/model/refusal';
import type { HeavyWork } from '@/workers/heavyWork';
import type { HeavyAnswer, HeavyTask } from '@/workers/heavyWorker';
import { Problem } from '../door/problem';

/** Longer than any answer of the largest allowed size takes; what still runs then is ended. */
const GIVE_UP_MS = 60_000;
/** How many may wait for a worker; whoever comes then is told to wait. */
const MOST_WAITING = 8;
/** Workers step back for people who wait for a page. */
const NICE = 10;

// One pool a process, also over the several bundles of a build.
const shared = globalThis as typeof globalThis & { orderlyFrostWorkers?: Piscina };

function workers(): Piscina {
  shared.orderlyFrostWorkers ??= new Piscina({
    filename: path.join(process.cwd(), 'src/workers/heavyWorker.ts'),
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: 120_000,
    niceIncrement: NICE,
  });
  return shared.orderlyFrostWorkers;
}

/** How the workers are: how many threads there are, and how many answers wait for one. */
export function workersStanding(): { threads: number; waiting: number; full: boolean } {
  const pool = shared.orderlyFrostWorkers;
  const waiting = pool?.queueSize ?? 0;
  return { threads: pool?.threads.length ?? 0, waiting, full: waiting >= MOST_WAITING };
}

/**
 * Has a heavy answer of the core worked out in a thread of its own, so that everybody else is answered meanwhile.
 *
 * @throws Refusal as the core, Problem 429 when too many wait, or when it takes too long
 */
export async function heavy<Name extends keyof HeavyWork>(
  name: Name,
  ...given: Parameters<HeavyWork[Name]>
): Promise<Awaited<ReturnType<HeavyWork[Name]>>> {
  const pool = workers();
  if (pool.queueSize >= MOST_WAITING) {
    throw new Problem(
      429,
      'too-often',
      'Many long answers are being worked out. Ask again in a few seconds.',
    );
  }
  const late = AbortSignal.timeout(GIVE_UP_MS);
  const task: HeavyTask = { name, given };
  try {
    const told = (await pool.run(task, { signal: late })) as HeavyAnswer;
    if ('refused' in told) throw new Refusal(told.refused.rule, told.refused.says);
    return told.answer as Awaited<ReturnType<HeavyWork[Name]>>;
  } catch (error) {
    if (!late.aborted) throw error;
    throw new Problem(429, 'too-long', 'This took too long to work out. Ask for less of it, or again later.');
  }
}
