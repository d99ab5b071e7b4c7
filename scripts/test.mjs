// npm test: everything a fresh machine needs, then all suites; ends with "N passed, N failed".
// With a word behind it (checks, unit, nodes, bench, integration, e2e) only that part runs.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { cleanUp, watchOver } from './children.mjs';
import {
  ensureBuild,
  ensureChromium,
  ensureModules,
  freePort,
  pause,
  prepareDatabase,
  run,
  say,
  serve,
  VAR,
} from './machine.mjs';
import { browserTroubles, filesOf, troublesInWords } from './troubles.mjs';

const only = process.argv[2];
// A disk that others use, too, makes nobody wait; a machine that stands still for seconds is no store that hangs.
process.env.STORE_FLUSH = '2';
process.env.ORDERLY_FROST_QUERY_MS = '60000';
const wanted = (part) => only === undefined || only === part;
const counts = { passed: 0, failed: 0 };
const broken = [];
const troubles = [];
let stopping = null;

function stop() {
  stopping ??= cleanUp(process.pid);
  return stopping;
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => void stop().then(() => process.exit(1)));

function count(passed, failed, what) {
  counts.passed += passed;
  counts.failed += failed;
  if (failed > 0) broken.push(what);
  say(`${what}: ${passed} passed, ${failed} failed`);
}

async function check(what, command, args) {
  const { status, told } = await new Promise((done) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let words = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (words += part));
    child.once('error', (error) => done({ status: 1, told: error.message }));
    child.once('close', (code) => done({ status: code, told: words }));
  });
  if (status !== 0) say(told);
  count(status === 0 ? 1 : 0, status === 0 ? 0 : 1, what);
}

function bin(name) {
  return path.join('node_modules', '.bin', name);
}

function report(name) {
  mkdirSync(path.join(VAR, 'reports'), { recursive: true });
  const file = path.join(VAR, 'reports', `${name}-${process.pid}.json`);
  rmSync(file, { force: true });
  return file;
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  } finally {
    rmSync(file, { force: true });
  }
}

/** One run of a Jest project: its files and what failed in them; nothing when it ended without a report. */
async function jestFiles(project, env, how) {
  const file = report(project);
  await run(
    bin('jest'),
    ['--selectProjects', project, '--json', `--outputFile=${file}`, '--silent', '--forceExit', ...how],
    {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  return filesOf(readReport(file));
}

async function jest(project, env, how = []) {
  const first = await jestFiles(project, env, how);
  // A busy machine is no fault of the house: a file that failed is run once more. Sums do not depend on the machine.
  const failing = project === 'unit' ? [] : first.filter((one) => one.troubles.length > 0);
  const second =
    failing.length > 0
      ? await jestFiles(project, env, ['--runTestsByPath', ...failing.map(({ file }) => file)])
      : [];
  const files = first.map((one) => second.find(({ file }) => file === one.file) ?? one);
  const still = files.flatMap((one) => one.troubles);
  const before = new Map(failing.flatMap((one) => one.troubles).map(({ title, seen }) => [title, seen]));
  const passedAgain = first
    .flatMap((one) => one.troubles)
    .filter(({ title }) => !still.some((one) => one.title === title));
  troubles.push(
    ...passedAgain.map((one) => ({ ...one, passedAgain: true })),
    ...still.map(({ title, seen }) => ({
      title,
      passedAgain: false,
      seen: [...(before.get(title) ?? []), ...seen],
    })),
  );
  const passed = files.reduce((sum, one) => sum + one.passed, 0);
  count(passed, first.length > 0 ? still.length : 1, `Jest ${project}`);
}

async function playwright(project, env) {
  const file = report(`e2e-${project}`);
  // As above; the house is as it was found, see tests/e2e/page.ts.
  await run(bin('playwright'), ['test', `--project=${project}`, '--retries=1'], {
    env: {
      ...process.env,
      ...env,
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      PLAYWRIGHT_OUT: path.join(VAR, `playwright-${project}`),
    },
  });
  const told = readReport(file);
  troubles.push(...browserTroubles(told?.suites));
  const stats = told?.stats;
  count(
    (stats?.expected ?? 0) + (stats?.flaky ?? 0),
    stats ? stats.unexpected : 1,
    `Playwright, ${project} server`,
  );
}

async function main() {
  watchOver();
  await ensureModules();
  const needsServer = wanted('integration') || wanted('e2e');
  if (wanted('e2e')) ensureChromium();
  // The unit tests need nothing but a processor.
  const unit = wanted('unit') ? jest('unit', {}, ['--maxWorkers=2']) : null;
  if (wanted('checks')) await checks();
  if (needsServer) await ensureBuild();
  await unit;
  if (wanted('nodes')) await check('Node.js 20, 22 and 24', process.execPath, ['scripts/nodes.mjs']);
  if (wanted('bench'))
    await check('Bench, each measure once', process.execPath, ['scripts/bench.mjs', '--quick']);
  if (needsServer) {
    await untilDayHolds();
    // Those with a store and a server of their own do not disturb the shared ones, and mostly wait.
    const shared = await sharedServer();
    await Promise.all([onShared(shared), onOwn(shared)]);
  }
}

async function checks() {
  await check('Types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.check.json']);
  await check('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
  await check('Format', bin('prettier'), ['--check', '.']);
  await check('Unused exports', bin('knip'), ['--no-progress']);
  await check('Advisories', process.execPath, ['scripts/audit.mjs']);
}

/** The suites take no longer than this; the demo's dates are those of the day that it moved in. */
const SUITES_MINUTES = 35;
const MINUTE_MS = 60_000;
const dayOf = (ms, timeZone) => new Intl.DateTimeFormat('en-CA', { timeZone }).format(ms);

/** Waits while a day ends within the time of the suites, in UTC or where the demo lives: then they begin with the next one. */
async function untilDayHolds() {
  const ends = (ms) =>
    ['UTC', 'Europe/Dublin'].some((zone) => dayOf(ms, zone) !== dayOf(ms + SUITES_MINUTES * MINUTE_MS, zone));
  if (!ends(Date.now())) return;
  say('The day ends soon; waiting for the next one …');
  for (let waited = 0; waited < SUITES_MINUTES && ends(Date.now()); waited += 0.25)
    await pause(MINUTE_MS / 4);
}

async function sharedServer() {
  const { openThrowaway } = await import('./mariadb.mjs');
  const database = await openThrowaway('test');
  await prepareDatabase(database.url);
  const port = await freePort();
  const base = `http://localhost:${port}`;
  await serve({ port, host: '127.0.0.1', url: database.url, env: { PUBLIC_URL: base }, quiet: true });
  return { BASE_URL: base, DATABASE_URL: database.url };
}

async function onShared(env) {
  if (wanted('integration')) await jest('integration', env);
  if (!wanted('e2e')) return;
  // What the integration tests stored is not for the screens.
  if (wanted('integration')) await prepareDatabase(env.DATABASE_URL, ['--reset']);
  await playwright('shared', env);
}

async function onOwn(env) {
  if (wanted('integration')) await jest('own', env);
  if (wanted('e2e')) await playwright('own', env);
}

try {
  await main();
} catch (error) {
  console.error(error);
  counts.failed += 1;
} finally {
  await stop();
}
for (const words of troublesInWords(troubles)) say(words);
if (broken.length > 0) say(`Failed: ${broken.join(', ')}`);
if (counts.passed === 0) counts.failed = Math.max(1, counts.failed);
say(`${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed > 0 ? 1 : 0);
