import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { BadReference, loadReference } from '@/services/household/reference';
import { closeDatabase } from '@/store/database';
import { get } from '../fixtures/api';
import { waitFor } from '../fixtures/waitFor';

afterAll(closeDatabase);

describe('a bad reference file', () => {
  it('stops the start with file, row and column, and changes nothing', async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'reference-'));
    const copy = (name: string, change: (text: string) => string): void =>
      writeFileSync(path.join(folder, name), change(readFileSync(path.join('data', name), 'utf8')));
    copy('outage.csv', (text) => text);
    copy('foods.csv', (text) => text.replace(',raw-meat,raw-meat,', ',raw-meat,raw-unicorn,'));
    const told = await loadReference(folder).catch((error: unknown) => error);
    expect(told).toBeInstanceOf(BadReference);
    expect((told as Error).message).toContain(
      'data/foods.csv, row 2, column outage_class: there is no class "raw-unicorn"',
    );
    copy('foods.csv', (text) => text.replace('"', ''));
    await expect(loadReference(folder)).rejects.toThrow(BadReference);
    rmSync(folder, { recursive: true });
  });
});

describe('npm start', () => {
  it('takes the next free port, prints the address last, and stops what it started on SIGTERM', async () => {
    const occupied = createServer();
    await new Promise<void>((done) => occupied.listen(0, '127.0.0.1', done));
    const { port } = occupied.address() as { port: number };
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      env: { ...process.env, PORT: String(port) },
    });
    try {
      let printed = '';
      child.stdout.on('data', (chunk: Buffer) => (printed += chunk.toString()));
      const ended = new Promise<number | null>((done) => child.once('exit', done));
      await waitFor(() => printed.includes('Orderly Frost is at'));
      const address = /Orderly Frost is at (http:\/\/localhost:\d+)\n$/.exec(printed)?.[1] ?? '';
      expect(printed).toContain(`Port ${port} is taken`);
      expect(printed).not.toMatch(/Installing|Building/);
      expect((await get('/api/v1/health', address)).status).toBe(200);
      child.kill('SIGTERM');
      expect(await ended).toBe(0);
      await expect(fetch(`${address}/api/v1/health`)).rejects.toThrow();
      // The database was not its own, so it is still there.
      expect((await get('/api/v1/health')).status).toBe(200);
    } finally {
      child.kill('SIGTERM');
      occupied.close();
    }
  });
});
