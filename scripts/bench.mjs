// npm run bench: ratios and counts in one run on the production build, as a table and as JSON.
// With --quick each measure runs once, to see that it works.
import process from 'node:process';
import {
  ensureBuild,
  ensureChromium,
  ensureModules,
  freePort,
  prepareDatabase,
  run,
  say,
  serve,
  stopPid,
  VAR,
} from './machine.mjs';
import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

await ensureModules();
ensureChromium();
await ensureBuild();
const { openThrowaway } = await import('./mariadb.mjs');
const databases = [];
const servers = [];

/** A database of its own with the demo household, and a server over it. */
async function open(name) {
  const database = await openThrowaway(name);
  databases.push(database);
  await prepareDatabase(database.url);
  const port = await freePort();
  servers.push(await serve({ port, host: '127.0.0.1', url: database.url, quiet: true }));
  return { base: `http://localhost:${port}`, url: database.url };
}

try {
  const small = await open('bench');
  const large = await open('bench-large');
  mkdirSync(path.join(VAR, 'reports'), { recursive: true });
  const out = path.join(VAR, 'reports', 'bench.json');
  const env = {
    ...process.env,
    BASE_URL: small.base,
    DATABASE_URL: small.url,
    LARGE_URL: large.base,
    LARGE_DATABASE_URL: large.url,
    BENCH_OUT: out,
    BENCH_QUICK: process.argv.includes('--quick') ? '1' : '0',
  };
  if ((await run(process.execPath, ['--import', 'tsx', 'scripts/measure.ts'], { env })) !== 0)
    process.exitCode = 1;
  else say(readFileSync(out, 'utf8'));
} finally {
  for (const server of servers) await stopPid(server.pid);
  for (const database of databases) await database.close();
}
