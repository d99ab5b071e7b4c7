// npm run simulate [seeds]: seeded household years lived with the product's own rules and with common habits; writes the report and its
// pictures to docs/. About a tenth of a second a year.
import { foods as all } from '../tests/fixtures/reference';
import { type Habit, HABITS, NO_DATES, ORDERLY, VARIANTS } from './simulate/habits';
import { type Truth, USUAL_TRUTH } from './simulate/larder';
import { type Lived, writeReport } from './simulate/report';
import { liveYear } from './simulate/year';

const seeds = Number(process.argv[2] ?? 20);
const foods = new Map(all.map((food) => [food.id, food]));
const begun = performance.now();
let years = 0;
const live = (habits: readonly Habit[], truth: Truth = USUAL_TRUTH): Lived[] =>
  habits.map((habit) => {
    years += seeds;
    return { habit, years: Array.from({ length: seeds }, (_, at) => liveYear(habit, at + 1, truth, foods)) };
  });
const harder = [
  { ...USUAL_TRUTH, controlledLife: 1.5 },
  { ...USUAL_TRUTH, controlledLife: 1.2, spread: 0.35 },
].map((truth) => ({ truth, lived: live([NO_DATES, ORDERLY], truth) }));
const [lived, variants] = [live(HABITS), live([ORDERLY, ...VARIANTS])];
console.log(`${years} years lived in ${((performance.now() - begun) / 1000).toFixed(1)} s`);
await writeReport(seeds, lived, variants, harder);
console.log('Written: docs/simulated-years.md');
