// npm start: everything a fresh machine needs, then the server. Ctrl-C stops all that was started here.
import process from 'node:process';
import { cleanUp, watchOver } from './children.mjs';
import { ensureBuild, ensureModules, giveUp, isFree, prepareDatabase, say, serve } from './machine.mjs';

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

async function start() {
  const host = process.env.HOST ?? '127.0.0.1';
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
  console.error(error.message);
  void stop(1);
});
