import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { BadReference, loadReference } from '@/services/reference';
import { closeDatabase } from '@/store/database';

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
