/** npm run hostile [-- COUNT [SEED]]: the heaviest requests there are, then hostile ones over every route and page, against a server of its own. */
import { readFileSync } from 'node:fs';
import { ensureBuild, freePort, prepareDatabase, serve, stopPid } from './machine.mjs';
import { openThrowaway } from './mariadb.mjs';
import { get } from '../tests/fixtures/api';
import type { ApiPage } from '../tests/fixtures/hostile';
import { hostileRun } from '../tests/fixtures/hostileRun';
import { lookingAtToday, usualToday } from '../tests/fixtures/meanwhile';
import { worstRequests } from '../tests/fixtures/worstCase';

const MAX_SECONDS = 5;
const MAX_GROWTH_MB = 100;
const count = Number(process.argv[2] ?? 20_000);
await ensureBuild();
const database = await openThrowaway('hostile');
let pid: number | undefined;
const faults: string[] = [];

/** Memory of a process, MB. */
const memoryOf = (process: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${process}/status`, 'utf8'))?.[1] ?? 0) / 1000;

/** Sends the heaviest bodies of every schema, and says which took too long or held others up. */
async function worst(base: string): Promise<void> {
  const page = (await get('/api/v1/openapi.json', base)).body as ApiPage;
  const { foods } = (await get('/api/v1/vocabulary', base)).body as { foods: { id: string }[] };
  const { packages } = (await get('/api/v1/stock?limit=20', base)).body as { packages: { code: string }[] };
  const usual = await usualToday(base);
  const requests = worstRequests(page, {
    foods: foods.map(({ id }) => id),
    ids: packages.map(({ code }) => code),
  });
  let [longest, held] = [0, 0];
  for (const { method, address, headers, body } of requests) {
    const ask = () =>
      fetch(`${base}${address}`, { method, headers, body: body ?? null }).then(async (response) => {
        await response.arrayBuffer();
        return response.status;
      });
    // Once for what a server of some minutes has compiled; of two more the quieter: what holds others up does so each time.
    await ask();
    const looks = [await lookingAtToday(base, ask), await lookingAtToday(base, ask)];
    const today = Math.min(...looks.map((look) => look.today));
    const ms = Math.max(...looks.map((look) => look.ms));
    const answer = Math.max(...looks.map((look) => look.answer));
    longest = Math.max(longest, ms);
    held = Math.max(held, today);
    if (answer >= 500 || ms > MAX_SECONDS * 1000 || today > 3 * usual)
      faults.push(
        `${method} ${address.slice(0, 80)} ${(body ?? '').length} → ${answer} in ${Math.round(ms)} ms, Today ${Math.round(today)} ms (usually ${Math.round(usual)})`,
      );
  }
  console.log(
    `${requests.length} of the heaviest: longest ${Math.round(longest)} ms; Today at worst ${Math.round(held)} ms, usually ${Math.round(usual)} ms`,
  );
}

try {
  await prepareDatabase(database.url);
  const port = await freePort();
  const base = `http://localhost:${port}`;
  pid = (await serve({ port, host: '127.0.0.1', url: database.url, quiet: false })).pid;
  await worst(base);
  const before = memoryOf(pid ?? 0);
  const { wrong, statuses, longestMs } = await hostileRun(base, count, Number(process.argv[3] ?? 11));
  faults.push(...wrong);
  if (longestMs > MAX_SECONDS * 1000) faults.push(`a request took ${Math.round(longestMs)} ms`);
  console.log(`${count} requests:`, statuses, `longest ${Math.round(longestMs)} ms`);
  // What was kept for a minute goes, and is collected.
  await new Promise((wake) => setTimeout(wake, 70_000));
  const after = memoryOf(pid ?? 0);
  console.log(`memory ${Math.round(before)} MB before, ${Math.round(after)} MB a minute after`);
  if (after > before + MAX_GROWTH_MB) faults.push('memory did not come back');
  for (const one of faults.slice(0, 20)) console.error(one);
  console.log(`${faults.length} faults`);
  process.exitCode = faults.length === 0 ? 0 : 1;
} finally {
  if (pid) await stopPid(pid);
  await database.close();
}
