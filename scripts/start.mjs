// npm start: everything a fresh machine needs, then the server. Ctrl-C stops all that was started here.
import path from 'node:path';
import process from 'node:process';
import { cleanUp, watchOver } from './children.mjs';
import {
  checkRoom,
  ensureBuild,
  ensureModules,
  giveUp,
  isAlive,
  isFree,
  pause,
  prepareDatabase,
  say,
  sayPlainly,
  serve,
  VAR,
} from './machine.mjs';

let stopping = null;

/** Stops what was started here, however far it had come. */
function stop(code) {
  stopping ??= cleanUp(process.pid).finally(() => process.exit(code));
  return stopping;
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

async function choosePort(host) {
  const wanted = Number(process.env.PORT ?? 3000);
  if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65_535)
    giveUp(`PORT must be a number from 1 to 65535, not “${process.env.PORT}”.`);
  for (let port = wanted; port < Math.min(wanted + 100, 65_536); port++) {
    if (await isFree(port, host)) {
      if (port !== wanted) say(`Port ${wanted} is taken; using ${port}.`);
      return port;
    }
  }
  return giveUp(`No free port from ${wanted} on.`);
}

/** Starts the private database again whenever it died, so that the page's "as soon as it is back" comes true. */
async function keepUp(database, open) {
  if (database.pid === null) return;
  for (let { pid } = database, told = ''; !stopping; await pause(500)) {
    if (isAlive(pid)) continue;
    if (told === '') say('The database has ended; starting it again …');
    try {
      const again = await open();
      pid = again.pid;
      told = '';
      say('The database is back.');
      if (again.url !== database.url)
        say('It is at another port now. Please stop this start with Ctrl-C and start again.');
    } catch (error) {
      if (error.message !== told) console.error(sayPlainly(error));
      told = error.message;
      await pause(5_000);
    }
  }
}

const MAX_RESTARTS = 5;
const RESTARTS_WITHIN_MS = 600_000;
const ended = (child) =>
  new Promise((done) => {
    if (child.exitCode !== null || child.signalCode !== null) done();
    else child.once('exit', done);
  });

/** Starts the server again whenever it ends by itself: at once, then later each time, at most five times in ten minutes. */
async function keepServing(server, again) {
  const restarts = [];
  for (let child = server; ;) {
    await ended(child);
    if (stopping) return;
    const recent = restarts.filter((at) => Date.now() - at < RESTARTS_WITHIN_MS);
    if (recent.length === MAX_RESTARTS) {
      console.error(
        `The server ended ${MAX_RESTARTS + 1} times in ten minutes. Look at the lines above, then start again.`,
      );
      return stop(1);
    }
    const seconds = recent.length === 0 ? 0 : 2 ** recent.length;
    say(`The server has ended; starting it again${seconds > 0 ? ` in ${seconds} s` : ''} …`);
    restarts.push(Date.now());
    await pause(seconds * 1000);
    if (stopping) return;
    try {
      child = await again();
      say('The server is back.');
    } catch (error) {
      if (stopping) return;
      console.error(sayPlainly(error));
    }
  }
}

const HOUR_MS = 3_600_000;

/** A backup every night, kept for a fortnight; at the first start of a day that had none, in the daytime. `BACKUPS=off`: none. */
async function keepBackups(url) {
  if (process.env.BACKUPS === 'off') return;
  const { run } = await import('./machine.mjs');
  const folder = process.env.BACKUPS ?? path.join(VAR, 'backups');
  for (; !stopping; await pause(HOUR_MS)) {
    const night = new Date().getHours() >= 3;
    if (night)
      await run(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', 'nightly', folder], {
        env: { ...process.env, DATABASE_URL: url },
      });
  }
}

/** `--home`: phones in the house get a secure address. */
const isHome = process.argv.includes('--home');

/** What a server of the house needs besides, and what its address is. */
async function homeOf(port) {
  const { homeAddresses, homeCertificate } = await import('./homeCertificate.mjs');
  const addresses = homeAddresses();
  const [first = 'localhost'] = addresses;
  const files = await homeCertificate(path.join(VAR, 'home'), addresses);
  const address = `https://${first}:${port}`;
  const allowed = [...(process.env.ALLOWED_HOSTS ?? '').split(','), ...addresses].filter(
    (name) => name !== '',
  );
  const env = {
    TLS_CERT: files.cert,
    TLS_KEY: files.key,
    PUBLIC_URL: address,
    ALLOWED_HOSTS: allowed.join(','),
  };
  return { env, address };
}

/** The address as a code to scan, and how a phone comes to trust it. */
async function sayHome(address) {
  const { default: qrcode } = await import('qrcode');
  console.log(await qrcode.toString(address, { type: 'terminal', small: true }));
  say(
    `On a phone: scan it, or open ${address}, and go on past the warning once. Then open ${address}/home-certificate.crt and`,
  );
  say(
    'trust it. Android: Settings, Security, Install a certificate, CA certificate. iPhone: Settings, Profile downloaded, Install;',
  );
  say('then General, About, Certificate trust settings. From then on the pages work without a network too.');
}

/** Whoever comes first to a server that asks for keys comes in by a code that only this terminal shows. */
async function saySetUpCode(url, env) {
  const { run } = await import('./machine.mjs');
  await run(process.execPath, ['--import', 'tsx', 'scripts/setUpCode.ts'], {
    env: { ...process.env, ...env, DATABASE_URL: url },
  });
}

async function start() {
  const host = process.env.HOST ?? (isHome ? '0.0.0.0' : '127.0.0.1');
  checkRoom();
  watchOver();
  await ensureModules();
  const { openDatabase } = await import('./mariadb.mjs');
  const database = await openDatabase();
  await prepareDatabase(database.url);
  await ensureBuild();
  for (let tries = 0; ; tries++) {
    const port = await choosePort(host);
    try {
      const home = isHome ? await homeOf(port) : null;
      const serveHere = () => serve({ port, host, url: database.url, env: home?.env ?? {} });
      const server = await serveHere();
      void keepServing(server, async () => {
        // What it was in the middle of may be half done: the demo that was being put back.
        await prepareDatabase(database.url);
        return serveHere();
      });
      const shown = host === '127.0.0.1' || host === '0.0.0.0' ? 'localhost' : host;
      void keepUp(database, openDatabase);
      void keepBackups(database.url).catch((error) => console.error(sayPlainly(error)));
      say('Ctrl-C stops it.');
      await saySetUpCode(database.url, { ...home?.env, LISTENS_AT: host });
      if (home) await sayHome(home.address);
      say(`Orderly Frost is at ${home?.address ?? process.env.PUBLIC_URL ?? `http://${shown}:${port}`}`);
      return;
    } catch (error) {
      if (tries > 3 || stopping) throw error;
    }
  }
}

start().catch((error) => {
  if (stopping) return;
  console.error(sayPlainly(error));
  void stop(1);
});
