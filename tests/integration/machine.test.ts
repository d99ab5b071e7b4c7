import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Runs a piece of script with the start's own tools, in a process of its own. */
function script(text: string): Promise<{ code: number | null; printed: string }> {
  const child = spawn(process.execPath, [
    '--input-type=module',
    '-e',
    `import * as m from './scripts/machine.mjs';\n${text}`,
  ]);
  let printed = '';
  child.stdout.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  return new Promise((done) => child.once('exit', (code) => done({ code, printed })));
}

describe('locks between two runs in one checkout', () => {
  it('let one in at a time', async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'lock-'));
    const log = path.join(folder, 'log');
    const work = `import { appendFileSync } from 'node:fs';
      await m.locked('test-one', async () => {
        appendFileSync('${log}', 'in ');
        await m.pause(150);
        appendFileSync('${log}', 'out ');
      });`;
    await Promise.all([script(work), script(work), script(work)]);
    expect(readFileSync(log, 'utf8')).toBe('in out in out in out ');
    rmSync(folder, { recursive: true });
  });

  it('of a run that died are taken over', async () => {
    const held = path.join('var', 'locks', 'test-dead');
    mkdirSync(held, { recursive: true });
    writeFileSync(path.join(held, 'pid'), '999999');
    const { code, printed } = await script(`await m.locked('test-dead', async () => console.log('inside'));`);
    expect([code, printed.includes('inside'), existsSync(held)]).toEqual([0, true, false]);
  });
});

it('finds a free port and sees a taken one', async () => {
  const { printed } = await script(`
    import { createServer } from 'node:net';
    const port = await m.freePort();
    console.log(await m.isFree(port, '127.0.0.1'));
    createServer().listen(port, '127.0.0.1', async () => {
      console.log(await m.isFree(port, '127.0.0.1'));
      process.exit(0);
    });`);
  expect(printed.trim().split('\n')).toEqual(['true', 'false']);
});

it('stops a process that does not listen to SIGTERM', async () => {
  const { printed } = await script(`
    import { spawn } from 'node:child_process';
    const deaf = spawn(process.execPath, ['-e', "process.on('SIGTERM', () => {}); setInterval(() => {}, 1000); console.log('up')"]);
    await new Promise((up) => deaf.stdout.once('data', up));
    const gone = new Promise((done) => deaf.once('exit', (_code, signal) => done(signal)));
    await m.stopPid(deaf.pid, 300);
    console.log(await gone);`);
  expect(printed.trim()).toBe('SIGKILL');
});
