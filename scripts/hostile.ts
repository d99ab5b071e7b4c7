/** npm run hostile [-- COUNT]: hostile requests against a server and a demo household of its own, over every route and page. */
import { freePort, prepareDatabase, serve, stopPid } from './machine.mjs';
import { openThrowaway } from './mariadb.mjs';
import { hostileRun } from '../tests/fixtures/hostileRun';

const count = Number(process.argv[2] ?? 20_000);
const database = await openThrowaway('hostile');
let pid: number | undefined;
try {
  await prepareDatabase(database.url);
  const port = await freePort();
  pid = (await serve({ port, host: '127.0.0.1', url: database.url, quiet: false })).pid;
  const { wrong, statuses } = await hostileRun(
    `http://localhost:${port}`,
    count,
    Number(process.argv[3] ?? 11),
  );
  console.log(`${count} requests:`, statuses);
  for (const one of wrong.slice(0, 20)) console.error(one);
  console.log(`${wrong.length} answered wrongly`);
  process.exitCode = wrong.length === 0 ? 0 : 1;
} finally {
  if (pid) await stopPid(pid);
  await database.close();
}
