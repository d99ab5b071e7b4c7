import loadHighs from 'highs';

const SOLVE_SECONDS = 1.5;
/** Of the whole worth; of the scores alone it is less than one in a hundred. */
const GAP = 2e-4;

/**
 * Solves a mixed-integer program (LP format) with HiGHS.
 *
 * @param limits seconds, and how near to the best it need come; the best found in its time
 * @returns the variables that are not nought, by name; nothing when no solution was found in time
 * @throws Error when the solver fails
 */
export async function solveValues(
  program: string,
  { seconds = SOLVE_SECONDS, gap = GAP }: { seconds?: number; gap?: number } = {},
): Promise<Record<string, number>> {
  // A solver that failed once is not used again.
  const highs = await loadHighs();
  const { Columns } = highs.solve(program, { time_limit: seconds, mip_rel_gap: gap, output_flag: false });
  return Object.fromEntries(
    Object.entries(Columns).flatMap(([name, column]) => {
      const value = 'Primal' in column ? (column.Primal ?? 0) : 0;
      return Math.abs(value) > 1e-9 ? [[name, value]] : [];
    }),
  );
}

/** The names of the binaries that are set in the best that is found. */
export async function solveProgram(program: string): Promise<string[]> {
  const values = await solveValues(program);
  return Object.entries(values).flatMap(([name, value]) => (value > 0.5 ? [name] : []));
}
