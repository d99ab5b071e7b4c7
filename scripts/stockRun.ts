/** npm run stock-run [-- COMMANDS [KILLS [SEED]]]: clients tell everything that happens to food, the server is killed, the ledger must add up. */
import { ensureBuild, ensureModules } from './machine.mjs';
import { stockRun } from '../tests/fixtures/stockRun';

await ensureModules();
await ensureBuild();
const begun = performance.now();
const [commands, kills, seed] = [2, 3, 4].map((at) => process.argv[at]);
const { wrong, done } = await stockRun(Number(commands ?? 10_000), Number(kills ?? 10), Number(seed ?? 1));
const all = Object.values(done).reduce((sum, many) => sum + many, 0);
console.log(
  `${all} commands were done in ${Math.round((performance.now() - begun) / 1000)} s, ${wrong.length} faults`,
);
for (const [type, many] of Object.entries(done).sort()) console.log(`  ${type} ${many}`);
for (const one of wrong.slice(0, 50)) console.error(one);
process.exitCode = wrong.length === 0 ? 0 : 1;
