/** Starts the product with the Node.js that runs this, and does a little of everything that another version could break. */
import { freePort, prepareDatabase, serve, stopPid } from './machine.mjs';
import { openThrowaway } from './mariadb.mjs';
import { command, get, line, post } from '../tests/fixtures/api';

const database = await openThrowaway('smoke');
let pid: number | undefined;

function must(what: string, holds: boolean): void {
  if (!holds) throw new Error(`${what} failed on ${process.version}`);
}

try {
  await prepareDatabase(database.url);
  const port = await freePort();
  const base = `http://localhost:${port}`;
  pid = (await serve({ port, host: '127.0.0.1', url: database.url, quiet: false })).pid;
  const stored = await command({ type: 'haul.store', lines: [line()] }, base);
  must('storing', stored.status === 200);
  const [{ code }] = stored.body.answers[0].packages as [{ code: string }];
  const labels = await fetch(`${base}/api/v1/labels?codes=${code}&size=roll-57&start=1`);
  must('printing labels', (await labels.text()).startsWith('%PDF'));
  const forecast = await post(
    '/api/v1/estimates/outage',
    { appliance: { kind: 'fridge', litres: 200, fill: 0.5 }, samples: 200, hours: 12 },
    base,
  );
  must('a forecast in a worker', forecast.status === 200 && forecast.body.published_limit_h === 4);
  const pages = await Promise.all(['/', '/stock', '/outage'].map((page) => fetch(`${base}${page}`)));
  must(
    'pages',
    pages.every(({ status }) => status === 200),
  );
  must('health', (await get('/api/v1/health', base)).status === 200);
} finally {
  if (pid) await stopPid(pid);
  await database.close();
}
