/** npm run kill [-- COUNT [SEED]]: kills starts, preparing, servers, databases, demo resets and restores at random moments, and fills a server's memory; each is followed by a start. */
import { ensureBuild, ensureModules } from './machine.mjs';
import { killRun } from '../tests/fixtures/killRun';

await ensureModules();
await ensureBuild();
const begun = performance.now();
const { kills, wrong } = await killRun(Number(process.argv[2] ?? 100), Number(process.argv[3] ?? 1), (line) =>
  console.log(line),
);
console.log(`${kills} kills in ${Math.round((performance.now() - begun) / 1000)} s, ${wrong.length} faults`);
for (const one of wrong) console.error(one);
process.exitCode = wrong.length === 0 ? 0 : 1;
