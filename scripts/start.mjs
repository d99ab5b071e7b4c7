// npm start: everything a fresh machine needs, then the server. Ctrl-C stops all that was started here.
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

async function start() {
  const host = process.env.HOST ?? '127.0.0.1';
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
      const server = await serve({ port, host, url: database.url });
      server.once('exit', () => {
        if (!stopping) {
          console.error('The server ended unexpectedly.');
          void stop(1);
        }
      });
      const shown = host === '127.0.0.1' || host === '0.0.0.0' ? 'localhost' : host;
      void keepUp(database, openDatabase);
      say('Ctrl-C stops it.');
      say(`Orderly Frost is at ${process.env.PUBLIC_URL ?? `http://${shown}:${port}`}`);
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
