// npm run bench: ratios and counts in one run on the production build, as a table and as JSON.
import process from 'node:process';
import {
  ensureBuild,
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
await ensureBuild();
const { openThrowaway } = await import('./mariadb.mjs');
const database = await openThrowaway('bench');
let server = null;
try {
  await prepareDatabase(database.url);
  const port = await freePort();
  server = await serve({ port, host: '127.0.0.1', url: database.url, quiet: true });
  mkdirSync(path.join(VAR, 'reports'), { recursive: true });
  const out = path.join(VAR, 'reports', 'bench.json');
  const env = { ...process.env, BASE_URL: `http://localhost:${port}`, BENCH_OUT: out };
  if ((await run(process.execPath, ['--import', 'tsx', 'scripts/measure.ts'], { env })) !== 0)
    process.exitCode = 1;
  else say(readFileSync(out, 'utf8'));
} finally {
  if (server) await stopPid(server.pid);
  await database.close();
}
