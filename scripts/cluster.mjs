// npm run cluster: three nodes and two copies of the server on loopback, to look at. Ctrl-C stops and removes all of it.
import path from 'node:path';
import process from 'node:process';
import { cleanUp, watchOver } from './children.mjs';
import { ensureBuild, ensureModules, freePort, prepareDatabase, say, serve, VAR } from './machine.mjs';

let stopping = null;
const stop = (code) => {
  stopping ??= (cluster?.stop() ?? Promise.resolve())
    .then(() => cleanUp(process.pid))
    .finally(() => process.exit(code));
};
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => stop(0));

let cluster = null;
try {
  watchOver();
  await ensureModules();
  await ensureBuild();
  const { startCluster } = await import('./galera.mjs');
  cluster = await startCluster(path.join(VAR, `cluster-${process.pid}`));
  await prepareDatabase(cluster.url);
  for (const name of ['One', 'Another']) {
    const port = await freePort();
    await serve({ port, host: '127.0.0.1', url: cluster.url });
    say(`${name} copy is at http://localhost:${port}`);
  }
  say(`Three nodes: ${cluster.url.replace(/:[^:@]*@/, ':…@')}. Ctrl-C stops them.`);
} catch (error) {
  console.error(error.message);
  stop(1);
}
