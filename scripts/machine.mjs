// What start, test and bench share: installing what is missing, locks, ports, children that stop with us.
import { get } from 'node:http';
import { get as secureGet } from 'node:https';
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statfsSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import process from 'node:process';

export const ROOT = path.resolve(import.meta.dirname, '..');
/** Where what a run keeps lies; another folder for tests of the start itself. */
export const VAR = process.env.ORDERLY_FROST_VAR ?? path.join(ROOT, 'var');
export const say = (text) => console.log(text);
export const pause = (ms) => new Promise((wake) => setTimeout(wake, ms));

/** Ends the run with a sentence instead of a stack trace; whoever started something catches it and stops that first. */
export function giveUp(text) {
  throw new Error(text);
}

/** What a start needs free, and what each part of a first one takes besides, MB. */
const MIN_FREE_MB = 24;
const FIRST_START_MB = [
  { made: path.join(ROOT, 'node_modules', '.orderly-frost'), takes: 1100 },
  { made: path.join(ROOT, '.next', 'orderly-frost'), takes: 300 },
  { made: path.join(VAR, 'mariadb', 'data'), takes: 180, own: true },
];

/** Free space on the disk of `var/`, MB. */
function freeMb() {
  const { bavail, bsize } = statfsSync(existsSync(VAR) ? VAR : ROOT);
  return Math.floor((bavail * bsize) / 1_000_000);
}

/** Gives up with a sentence when nothing can be written under `var/`. */
export function checkRoom() {
  const file = path.join(VAR, `room-${process.pid}`);
  mkdirSync(VAR, { recursive: true });
  writeFileSync(file, 'room');
  rmSync(file, { force: true });
  const free = freeMb();
  const missing = FIRST_START_MB.filter(
    ({ made, own }) => !existsSync(made) && !(own && process.env.DATABASE_URL),
  );
  const needed = missing.reduce((sum, { takes }) => sum + takes, MIN_FREE_MB);
  if (free < needed)
    giveUp(
      missing.length === 0
        ? `The disk is full: ${free} MB are free for ${VAR}, and ${needed} are needed. Make room, then start again.`
        : `The first start needs ${needed} MB for ${VAR}, and ${free} MB are free. Make room, then start again.`,
    );
}

/** A fault of the machine in one sentence; what is told in one already, as it is. */
export function sayPlainly(error) {
  const place = error.path ?? VAR;
  switch (error.code) {
    case 'ENOSPC':
    case 'EDQUOT':
      return `The disk is full: ${place} could not be written. Make room, then start again.`;
    case 'EROFS':
    case 'EACCES':
    case 'EPERM':
      return `${place} may not be written. Make it writable for this user, or set ORDERLY_FROST_VAR to a folder that is; then start again.`;
    case 'ENOTDIR':
      return `${place} cannot be a folder: a file of that name is in its way.`;
    default:
      return error.message;
  }
}

/** What may stand behind a database that does not start: a full disk is told. */
export const sayRoom = () =>
  freeMb() < MIN_FREE_MB ? ' The disk is full: make room, then start again.' : '';

export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** Runs `work` while no other process of this checkout is inside the same lock. */
export async function locked(name, work) {
  const folder = path.join(VAR, 'locks', name);
  mkdirSync(path.dirname(folder), { recursive: true });
  for (let told = false; ; told = true) {
    try {
      mkdirSync(folder);
      break;
    } catch {
      const holder = existsSync(path.join(folder, 'pid'))
        ? Number(readFileSync(path.join(folder, 'pid'), 'utf8'))
        : 0;
      // A run that is about to stop may be inside already.
      if (holder === process.pid) return work();
      const stale = holder > 0 ? !isAlive(holder) : ageMs(folder) > 10_000;
      if (stale) rmSync(folder, { recursive: true, force: true });
      else {
        if (!told) say(`Waiting for another run in this checkout (${name}) …`);
        await pause(300);
      }
    }
  }
  writeFileSync(path.join(folder, 'pid'), String(process.pid));
  try {
    return await work();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function ageMs(file) {
  try {
    return Date.now() - statSync(file).mtimeMs;
  } catch {
    return 0;
  }
}

/** Runs a command to its end; its output is shown. Resolves to the exit code. */
export async function run(command, args, options = {}) {
  const { remember } = await import('./children.mjs');
  return new Promise((resolve, reject) => {
    const child = remember(spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options }));
    child.on('error', reject);
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)));
  });
}

/** Path of a program, also where root's PATH ends short. */
export function findProgram(...names) {
  const folders = [...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/bin', '/usr/local/bin'];
  for (const name of names) {
    const found = folders.map((folder) => path.join(folder, name)).find((file) => existsSync(file));
    if (found) return found;
  }
  return null;
}

let updated = false;

/** Installs Debian packages when it may; else says what to run. */
export function installPackages(packages, purpose) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const apt = findProgram('apt-get');
  const root = process.getuid?.() === 0;
  if (!apt || !root)
    giveUp(
      `${purpose} is missing. Please run, as root:\n\n  apt-get update && ${command}\n\nand then this command again.`,
    );
  say(`Installing ${packages.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const call = (args) => spawnSync(apt, args, { env, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;
  if (!updated) call(['update', '-qq']);
  updated = true;
  if (!call(['install', '-y', '-qq', '--no-install-recommends', ...packages]))
    giveUp(`Could not install ${purpose}. Please run, as root:\n\n  ${command}`);
}

/** Debian's Chromium, for who tries or measures pages. */
export function ensureChromium() {
  if (!findProgram('chromium')) installPackages(['chromium'], 'Chromium');
}

/** Node modules as the lockfile says; quick when they are there. */
export async function ensureModules() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) giveUp(`Node.js 20 or newer is needed; this is ${process.version}.`);
  const wanted = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  const stamp = path.join(ROOT, 'node_modules', '.orderly-frost');
  const current = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted;
  if (current()) return;
  await locked('modules', async () => {
    if (current()) return;
    say('Installing node modules …');
    const args = ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'];
    if ((await run('npm', args)) !== 0) giveUp('npm ci failed; see above.');
    writeFileSync(stamp, wanted);
  });
}

function filesBelow(place) {
  const full = path.join(ROOT, place);
  if (!existsSync(full)) return [];
  if (!statSync(full).isDirectory()) return [place];
  return readdirSync(full, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.relative(ROOT, path.join(entry.parentPath ?? entry.path, entry.name)))
    .sort();
}

const BUILT_FROM = [
  'src',
  'public',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

function buildDigest() {
  const digest = createHash('sha256');
  for (const file of BUILT_FROM.flatMap(filesBelow).filter((name) => !/\.test\.tsx?$/.test(name))) {
    digest.update(file).update(readFileSync(path.join(ROOT, file)));
  }
  return digest.digest('hex');
}

/** A production build of the present sources; quick when it is there. */
export async function ensureBuild() {
  const stamp = path.join(ROOT, '.next', 'orderly-frost');
  const current = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === buildDigest();
  if (current()) return;
  await locked('build', async () => {
    if (current()) return;
    say('Building (about half a minute) …');
    const wanted = buildDigest();
    const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' };
    const stdio = ['ignore', process.env.CI ? 'inherit' : 'ignore', 'inherit'];
    if ((await run(process.execPath, ['node_modules/next/dist/bin/next', 'build'], { env, stdio })) !== 0)
      giveUp('The build failed; see above.');
    const { buildServiceWorker } = await import('./serviceWorker.mjs');
    await buildServiceWorker(ROOT, path.join(ROOT, '.next', 'service-worker.js'));
    writeFileSync(stamp, wanted);
  });
}

/** True when nobody listens there. */
export function isFree(port, host) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ port, host, exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

/** A free port chosen by the system. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen({ port: 0, host: '127.0.0.1' }, () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** Sends SIGTERM, waits, and insists after a while. */
export async function stopPid(pid, patienceMs = 10_000) {
  if (!isAlive(pid)) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; waited < patienceMs; waited += 50) {
    if (!isAlive(pid)) return;
    await pause(50);
  }
  process.kill(pid, 'SIGKILL');
}

/** Migrations, reference data and the demo, in a process of their own. */
export async function prepareDatabase(url, args = [], env = {}) {
  const code = await run(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts', ...args], {
    // Moving in may take its time on a slow disk.
    env: { ORDERLY_FROST_QUERY_MS: '120000', ...process.env, ...env, DATABASE_URL: url },
  });
  if (code !== 0) giveUp('The database could not be prepared; see above.');
}

/** Asks whether it answers; over TLS it has to be the household's own certificate. */
function askHealth(host, port, certFile) {
  const told = { host, port, path: '/api/v1/health', headers: { host: `localhost:${port}` } };
  const ask = certFile
    ? (answered) => secureGet({ ...told, ca: readFileSync(certFile), servername: 'localhost' }, answered)
    : (answered) => get(told, answered);
  return new Promise((resolve, reject) => {
    ask((response) => {
      response.resume();
      resolve(response.statusCode);
    }).on('error', reject);
  });
}

/** Starts the production server and waits until it answers. Resolves to the child. */
export async function serve({ port, host, url, env = {}, quiet = false }) {
  const { remember } = await import('./children.mjs');
  const child = spawn(process.execPath, ['scripts/server.mjs', host, String(port)], {
    cwd: ROOT,
    detached: true,
    stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit', 'ipc'],
    env: {
      ...process.env,
      ...env,
      DATABASE_URL: url,
      PORT: String(port),
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      // Workers come and go: what they leave is handed back, not kept in an arena a thread.
      MALLOC_ARENA_MAX: process.env.MALLOC_ARENA_MAX ?? '2',
    },
  });
  remember(child);
  let ended = false;
  child.once('exit', () => (ended = true));
  // It says itself that it has its port: what answers there may be another's.
  let listens = false;
  child.once('message', () => {
    listens = true;
    child.disconnect();
  });
  const own = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
  for (let waited = 0; waited < 180_000; waited += 100) {
    if (ended) throw new Error('the server ended before it answered');
    try {
      if (listens) {
        await askHealth(own, port, env.TLS_CERT);
        return child;
      }
    } catch {
      // Asked again.
    }
    await pause(100);
  }
  await stopPid(child.pid);
  throw new Error('the server did not answer within three minutes');
}
