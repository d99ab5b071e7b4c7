/** `npm run bench -- --quick`: each measure once, to see that it still works; its figures are worth nothing. */
const QUICK = process.env.BENCH_QUICK === '1';

/** How often, how many, how long: in full, or just once. */
export const inFull = (full: number, quick: number): number => (QUICK ? quick : full);
