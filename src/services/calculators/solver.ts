import { Worker } from 'node:worker_threads';
import path from 'node:path';

const SOLVE_SECONDS = 1.5;
/** Of the whole worth; of the scores alone it is less than one in a hundred. */
const GAP = 2e-4;
/** Longer than any solve with its start: a worker that still runs then is given up. */
const GIVE_UP_MS = 10_000;

// Not a module of its own, so that it runs the same from the sources and from a build.
const WORK = `
const { parentPort, workerData } = require('node:worker_threads');
const { createRequire } = require('node:module');
createRequire(workerData.from)('highs')().then((highs) => {
  const { Columns } = highs.solve(workerData.program, workerData.options);
  parentPort.postMessage(Object.entries(Columns).filter(([, column]) => (column.Primal ?? 0) > 0.5).map(([name]) => name));
});
`;

/**
 * Solves a mixed-integer program (LP format) with HiGHS in a thread of its own, so that the server goes on meanwhile.
 *
 * @returns names of the binaries that are set, the best found in its time
 * @throws Error when the solver fails or gives no answer in time
 */
export function solveProgram(program: string): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(WORK, {
      eval: true,
      workerData: {
        program,
        from: path.join(process.cwd(), 'package.json'),
        options: { time_limit: SOLVE_SECONDS, mip_rel_gap: GAP, output_flag: false },
      },
    });
    const end = (): void => {
      clearTimeout(late);
      void worker.terminate();
    };
    const late = setTimeout(() => {
      end();
      reject(new Error('the solver gave no answer'));
    }, GIVE_UP_MS);
    worker.once('message', (names: string[]) => {
      end();
      resolve(names);
    });
    worker.once('error', (error) => {
      end();
      reject(error);
    });
  });
}
