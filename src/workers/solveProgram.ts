import loadHighs from 'highs';

const SOLVE_SECONDS = 1.5;
/** Of the whole worth; of the scores alone it is less than one in a hundred. */
const GAP = 2e-4;

/**
 * Solves a mixed-integer program (LP format) with HiGHS.
 *
 * @returns names of the binaries that are set, the best found in its time
 * @throws Error when the solver fails
 */
export async function solveProgram(program: string): Promise<string[]> {
  // A solver that failed once is not used again.
  const highs = await loadHighs();
  const { Columns } = highs.solve(program, {
    time_limit: SOLVE_SECONDS,
    mip_rel_gap: GAP,
    output_flag: false,
  });
  return Object.entries(Columns)
    .filter(([, column]) => 'Primal' in column && (column.Primal ?? 0) > 0.5)
    .map(([name]) => name);
}
