// npm test: everything a fresh machine needs, then all suites; ends with "N passed, N failed".
// With a word behind it (checks, unit, integration, e2e) only that part runs.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { cleanUp, watchOver } from './children.mjs';
import {
  ensureBuild,
  ensureModules,
  findProgram,
  freePort,
  installPackages,
  prepareDatabase,
  run,
  say,
  serve,
  VAR,
} from './machine.mjs';

const only = process.argv[2];
const wanted = (part) => only === undefined || only === part;
const counts = { passed: 0, failed: 0 };
const broken = [];
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

function check(what, command, args) {
  const made = spawnSync(command, args, { encoding: 'utf8', cwd: process.cwd() });
  if (made.status !== 0) say(`${made.stdout}\n${made.stderr}`);
  count(made.status === 0 ? 1 : 0, made.status === 0 ? 0 : 1, what);
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

async function jest(project, env) {
  const file = report(project);
  await run(
    bin('jest'),
    ['--selectProjects', project, '--json', `--outputFile=${file}`, '--silent', '--forceExit'],
    {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  const told = readReport(file);
  const failedSuites =
    told?.testResults?.filter((suite) => suite.status === 'failed' && suite.assertionResults.length === 0)
      .length ?? 1;
  count(told?.numPassedTests ?? 0, (told?.numFailedTests ?? 0) + failedSuites, `Jest ${project}`);
}

async function playwright(project, env) {
  const file = report(`e2e-${project}`);
  await run(bin('playwright'), ['test', `--project=${project}`], {
    env: {
      ...process.env,
      ...env,
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      PLAYWRIGHT_OUT: path.join(VAR, `playwright-${project}`),
    },
  });
  const stats = readReport(file)?.stats;
  count(stats?.expected ?? 0, stats ? stats.unexpected + stats.flaky : 1, `Playwright, ${project} server`);
}

function ensureChromium() {
  if (!findProgram('chromium')) installPackages(['chromium'], 'Chromium');
}

async function main() {
  watchOver();
  await ensureModules();
  if (wanted('checks')) {
    check('Types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.check.json']);
    check('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
    check('Format', bin('prettier'), ['--check', '.']);
    check('Unused exports', bin('knip'), ['--no-progress']);
  }
  if (wanted('unit')) await jest('unit', {});
  if (wanted('integration') || wanted('e2e')) {
    if (wanted('e2e')) ensureChromium();
    await ensureBuild();
    const { openThrowaway } = await import('./mariadb.mjs');
    const database = await openThrowaway('test');
    await prepareDatabase(database.url);
    const port = await freePort();
    await serve({
      port,
      host: '127.0.0.1',
      url: database.url,
      env: { PUBLIC_URL: `http://localhost:${port}` },
      quiet: true,
    });
    const env = { BASE_URL: `http://localhost:${port}`, DATABASE_URL: database.url };
    if (wanted('integration')) await jest('integration', env);
    if (wanted('e2e')) {
      // What the integration tests stored is not for the screens.
      if (wanted('integration')) await prepareDatabase(database.url, ['--reset']);
      // Those with a server of their own do not disturb the shared one, and mostly wait.
      await Promise.all([playwright('shared', env), playwright('own', env)]);
    }
  }
}

try {
  await main();
} catch (error) {
  console.error(error);
  counts.failed += 1;
} finally {
  await stop();
}
if (broken.length > 0) say(`Failed: ${broken.join(', ')}`);
if (counts.passed === 0) counts.failed = Math.max(1, counts.failed);
say(`${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed > 0 ? 1 : 0);
