// npm run judge: a million generated histories and power cuts beside a second reading of the rules, and the laws over a hundred
// thousand chains of commands and as many households' lives. Ends with a table; fails when anything is milder, different, or against a law.
import { Chance } from '../tests/judge/chance';
import { runChain, runTwins } from '../tests/judge/chains';
import { checkCutLaws, compareCuts } from '../tests/judge/cuts';
import { runLife } from '../tests/judge/lives';
import { compareHistories } from '../tests/judge/histories';

const scale = Number(process.argv[2] ?? 1);
const seed = Number(process.argv[3] ?? 1);
const many = (count: number): number => Math.max(1, Math.round(count * scale));

function timed<Result>(what: string, work: () => Result): Result {
  const begun = Date.now();
  const result = work();
  console.log(`${what}: ${((Date.now() - begun) / 1000).toFixed(0)} s`);
  return result;
}

const histories = timed('Histories', () => compareHistories(new Chance(seed), many(600_000)));
const cuts = timed('Power cuts', () => compareCuts(new Chance(seed + 1), many(400_000)));
timed('Laws of power cuts', () => checkCutLaws(new Chance(seed + 2), many(60_000)));
let steps = 0;
let twins = 0;
timed('Chains', () => {
  for (let nth = 0; nth < many(100_000); nth++) steps += runChain(new Chance(seed * 1_000_000 + nth));
});
timed('Twins', () => {
  for (let nth = 0; nth < many(60_000); nth++) twins += runTwins(new Chance(seed * 2_000_000 + nth)) ? 1 : 0;
});

let [deeds, late, lived] = [0, 0, 0];
timed('Lives', () => {
  for (let nth = 0; nth < many(100_000); nth++) {
    // Of every fiftieth household each list and command is asked for what may not be eaten.
    const life = runLife(new Chance(seed * 3_000_000 + nth), nth % 50 === 0);
    deeds += life.deeds;
    late += life.late;
    lived += life.cuts;
  }
});

console.table({
  histories: { cases: histories.count, milder: histories.milder, different: histories.different },
  'power cuts': { cases: cuts.count, milder: cuts.milder, different: cuts.different },
});
console.log(`${histories.refused} of the histories are refused by a rule, in both readings alike.`);
console.log(`${steps} commands in ${many(100_000)} chains, ${twins} twins compared: no law broken.`);
console.log(
  `${deeds} deeds in ${many(100_000)} lives, ${late} told late and ${lived} with a power cut compared: no law broken.`,
);
for (const { first } of [histories, cuts]) if (first !== '') console.log(first);
if (histories.different + cuts.different > 0) process.exitCode = 1;
