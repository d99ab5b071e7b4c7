import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { Refusal } from '@/core/model/refusal';
import type { FILE_WORK } from '@/workers/fileWork';
import type { HeavyWork } from '@/workers/heavyWork';
import type { HeavyAnswer, HeavyTask } from '@/workers/heavyWorker';
import { Problem } from '../door/problem';

/** How many may wait for a worker; whoever comes then is told to wait. */
const MAX_WAITING = 8;
/** A slow machine is given more time, as its store is. */
const PATIENCE = Math.max(1, Number(process.env.ORDERLY_FROST_QUERY_MS ?? 6_000) / 6_000);
/** Workers step back for people who wait for a page. */
const NICE = 10;

/** Answers are worked out by some workers, files are read by another: a file that means no good ends that one at most. */
const POOLS = {
  answers: { threads: Math.max(1, availableParallelism() - 1), memoryMb: 1024, giveUpMs: 4_000 },
  files: { threads: 1, memoryMb: 768, giveUpMs: 10_000 },
} as const;
type PoolName = keyof typeof POOLS;

// One of each a process, also over the several bundles of a build.
const shared = globalThis as typeof globalThis & { orderlyFrostWorkers?: Partial<Record<PoolName, Piscina>> };

function poolOf(name: PoolName): Piscina {
  const pools = (shared.orderlyFrostWorkers ??= {});
  return (pools[name] ??= new Piscina({
    filename: path.join(process.cwd(), 'src/workers/heavyWorker.ts'),
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: POOLS[name].threads,
    maxQueue: MAX_WAITING,
    // A worker keeps its memory; one that nobody asks goes.
    idleTimeout: 30_000,
    niceIncrement: NICE,
    resourceLimits: { maxOldGenerationSizeMb: POOLS[name].memoryMb },
  }));
}

/** How the workers are: how many threads there are, and how many answers wait for one. */
export function workersStanding(): { threads: number; waiting: number; full: boolean } {
  const pool = shared.orderlyFrostWorkers?.answers;
  const waiting = pool?.queueSize ?? 0;
  return { threads: pool?.threads.length ?? 0, waiting, full: waiting >= MAX_WAITING };
}

type Answer<Name extends keyof HeavyWork> = Awaited<ReturnType<HeavyWork[Name]>>;

async function runIn<Name extends keyof HeavyWork>(
  name: PoolName,
  task: HeavyTask,
  cancelled: AbortSignal | undefined,
): Promise<Answer<Name>> {
  const pool = poolOf(name);
  if (pool.queueSize >= MAX_WAITING)
    throw new Problem(
      429,
      'too-often',
      'Many long answers are being worked out. Ask again in a few seconds.',
    );
  const late = AbortSignal.timeout(POOLS[name].giveUpMs * PATIENCE);
  const signal = cancelled ? AbortSignal.any([late, cancelled]) : late;
  try {
    const told = (await pool.run(task, { signal })) as HeavyAnswer;
    if ('refused' in told) throw new Refusal(told.refused.rule, told.refused.says);
    return told.answer as Answer<Name>;
  } catch (error) {
    if (late.aborted)
      throw new Problem(
        429,
        'too-long',
        'This took too long to work out. Ask for less of it, or again later.',
      );
    if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
      throw new Problem(413, 'too-large', 'This takes more memory than there is for it. Send it in parts.');
    throw error;
  }
}

/**
 * Has a heavy answer of the core worked out in a thread of its own, so that everybody else is answered meanwhile.
 *
 * @throws Refusal as the core, Problem 413 or 429 when it takes too much memory or time, or too many wait
 */
export const heavy = <Name extends keyof HeavyWork>(
  name: Name,
  ...given: Parameters<HeavyWork[Name]>
): Promise<Answer<Name>> => runIn<Name>('answers', { name, given }, undefined);

const STATUS: Readonly<Record<string, number>> = { unreadable: 400, newer: 400, 'too-large': 413 };

/**
 * Has a file read in a thread of its own, with little memory and time.
 *
 * @param cancelled whoever sent it went away
 * @throws Problem 400 for what cannot be read, 413 for what is too large, 429 when it takes too long or too many wait
 */
export async function readInWorker<Name extends keyof typeof FILE_WORK>(
  name: Name,
  given: Parameters<HeavyWork[Name]>,
  cancelled?: AbortSignal,
): Promise<Answer<Name>> {
  try {
    return await runIn<Name>('files', { name, given }, cancelled);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    throw new Problem(STATUS[error.rule] ?? 422, error.rule, error.says);
  }
}
