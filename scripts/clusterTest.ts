/** npm run cluster:test: one copy and one node are killed under load; nothing acknowledged is lost, nothing doubled, and work goes on. */
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { createConnection } from 'mysql2/promise';
import { startCluster } from './galera.mjs';
import { ensureBuild, freePort, prepareDatabase, serve, stopPid } from './machine.mjs';
import { quantile } from './quantile';

const CLIENTS = 8;
const LOAD_MS = Number(process.env.CLUSTER_MS ?? 20_000);
const MOST_GAP_MS = 10_000;

interface Copy {
  base: string;
  pid: number;
}

async function copyOf(url: string): Promise<Copy> {
  const port = await freePort();
  const { pid = 0 } = await serve({ port, host: '127.0.0.1', url, quiet: true });
  return { base: `http://localhost:${port}`, pid };
}

/** What a phone does: the same command, with its id, until it is answered, by whichever copy answers. */
class Client {
  readonly acknowledged: string[] = [];
  readonly took: number[] = [];
  gapMs = 0;
  refused: string[] = [];

  constructor(
    private readonly copies: readonly Copy[],
    private at: number,
  ) {}

  async live(until: () => boolean): Promise<void> {
    let last = Date.now();
    while (!until()) {
      const id = randomUUID();
      const begun = Date.now();
      await this.told(id);
      this.took.push(Date.now() - begun);
      this.gapMs = Math.max(this.gapMs, Date.now() - last);
      last = Date.now();
      this.acknowledged.push(id);
    }
  }

  private async told(id: string): Promise<void> {
    const line = {
      food: 'trout',
      amount: 400,
      unit: 'g',
      packs: 1,
      start: { did: 'bought', on: today },
      note: id,
    };
    for (;;) {
      const copy = this.copies[this.at % this.copies.length];
      const answer = await fetch(`${copy?.base}/api/v1/commands`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, type: 'haul.store', lines: [line] }),
        signal: AbortSignal.timeout(8_000),
      }).catch(() => null);
      if (answer?.status === 200) return;
      if (answer && answer.status < 500) this.refused.push(await answer.text());
      // As a load balancer does with a copy that does not answer.
      this.at += 1;
      await new Promise((wake) => setTimeout(wake, 100));
    }
  }
}

const today = new Date().toISOString().slice(0, 10);
const pause = (ms: number): Promise<void> => new Promise((wake) => setTimeout(wake, ms));

/** Lives for a while. @returns clients with what they were answered */
async function load(copies: readonly Copy[], ms: number, during: () => Promise<void>): Promise<Client[]> {
  let over = false;
  const clients = Array.from({ length: CLIENTS }, (_, at) => new Client(copies, at));
  const living = Promise.all(clients.map((client) => client.live(() => over)));
  await Promise.all([pause(ms), during()]);
  over = true;
  await living;
  return clients;
}

function tell(what: string, clients: readonly Client[], ms: number): void {
  const took = clients.flatMap((client) => client.took).sort((a, b) => a - b);
  const rate = Math.round((took.length / ms) * 10_000) / 10;
  const gap = Math.max(...clients.map(({ gapMs }) => gapMs));
  console.log(
    `${what}: ${took.length} commands, ${rate} a second, median ${quantile(took, 0.5)} ms, p95 ${quantile(took, 0.95)} ms, longest gap ${gap} ms`,
  );
}

async function main(): Promise<void> {
  await ensureBuild();
  const cluster = await startCluster(path.resolve('var', `cluster-${process.pid}`));
  const copies: Copy[] = [];
  const faults: string[] = [];
  try {
    await prepareDatabase(cluster.url);
    const [a, b, c] = cluster.nodes;
    if (!a || !b || !c) throw new Error('three nodes');
    copies.push(await copyOf(cluster.url));
    const one = await load(copies, LOAD_MS / 2, () => Promise.resolve());
    tell('One copy', one, LOAD_MS / 2);
    // The second copy asks another node first.
    copies.push(await copyOf(cluster.url.replace(/@([^,]+),([^,]+),/, '@$2,$1,')));
    const two = await load(copies, LOAD_MS / 2, () => Promise.resolve());
    tell('Two copies, each at a node of its own', two, LOAD_MS / 2);
    const killed = await load(copies, LOAD_MS, async () => {
      await pause(LOAD_MS / 5);
      cluster.kill(a);
      await pause(LOAD_MS / 3);
      process.kill(copies[1]?.pid ?? 0, 'SIGKILL');
    });
    tell('One node killed, then one copy', killed, LOAD_MS);
    const gap = Math.max(...killed.map(({ gapMs }) => gapMs));
    if (gap > MOST_GAP_MS) faults.push(`somebody waited ${gap} ms`);
    await cluster.bringBack(a);
    const clients = [...one, ...two, ...killed];
    const told = clients.flatMap(({ acknowledged }) => acknowledged);
    for (const text of clients.flatMap(({ refused }) => refused)) faults.push(`refused: ${text}`);
    for (const node of [a, b, c]) {
      const db = await createConnection({ uri: cluster.urlOf(node) });
      await db.query('SET SESSION wsrep_sync_wait = 1');
      const [rows] = await db.query(
        "SELECT JSON_VALUE(image, '$.note') AS note, COUNT(*) AS times FROM package WHERE JSON_VALUE(image, '$.note') <> '' GROUP BY note",
      );
      await db.end();
      const kept = new Map(
        (rows as { note: string; times: number }[]).map(({ note, times }) => [note, Number(times)]),
      );
      const lost = told.filter((id) => !kept.has(id));
      const doubled = [...kept].filter(([note, times]) => times > 1 && told.includes(note));
      console.log(
        `Node ${node.name}: ${told.length} acknowledged, ${lost.length} lost, ${doubled.length} doubled`,
      );
      if (lost.length + doubled.length > 0)
        faults.push(`node ${node.name}: ${lost.length} lost, ${doubled.length} doubled`);
    }
  } finally {
    for (const { pid } of copies) await stopPid(pid);
    await cluster.stop();
  }
  for (const fault of faults.slice(0, 10)) console.error(fault);
  console.log(faults.length === 0 ? 'Nothing lost, nothing doubled.' : `${faults.length} faults`);
  process.exitCode = faults.length === 0 ? 0 : 1;
}

await main();
