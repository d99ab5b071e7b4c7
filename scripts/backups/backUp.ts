/** Backups of everything: written while servers run, restored on trial, and only then kept. */
import { spawn } from 'node:child_process';
import { appendFileSync, createWriteStream, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip, gzipSync } from 'node:zlib';
import { say } from '../machine.mjs';
import { ended, program, withClient } from './client';
import { type Manifest, MANIFEST_MARK, newDigest, ourVersion } from './manifest';
import { tryBackup } from './tryBackup';

const MAX_NIGHTS = 14;

/** Writes a dump. @returns the SHA-256 of its text */
async function dump(url: string, file: string): Promise<string> {
  const digest = newDigest();
  await withClient(url, async (client, { name }) => {
    const child = spawn(
      program('mariadb-dump', 'mysqldump'),
      [
        `--defaults-extra-file=${client}`,
        '--single-transaction',
        '--quick',
        '--skip-lock-tables',
        '--hex-blob',
        '--order-by-primary',
        '--default-character-set=utf8mb4',
        `--ignore-table-data=${name}.attempt`,
        `--ignore-table-data=${name}.import_run`,
        name,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    const hashed = new Transform({
      transform: (chunk: Buffer, _encoding, done) => {
        digest.update(chunk);
        done(null, chunk);
      },
    });
    await Promise.all([
      pipeline(child.stdout, hashed, createGzip(), createWriteStream(file, { mode: 0o600 })),
      ended(child, 'The backup'),
    ]);
  });
  return digest.digest('hex');
}

/**
 * Writes everything, photos and all, as it stands at one moment, into a compressed file, and restores it on trial; the file is
 * there whole and tried, or not at all.
 *
 * @returns how many packages it has
 */
export async function backUp(url: string, file: string): Promise<number> {
  const part = `${file}.part-${process.pid}`;
  try {
    const sha256 = await dump(url, part);
    const { counts, households } = await tryBackup(url, part, true);
    const manifest: Manifest = {
      format: 1,
      version: ourVersion(),
      made_at: new Date().toISOString(),
      households,
      counts,
      sha256,
    };
    appendFileSync(part, gzipSync(`${MANIFEST_MARK}${JSON.stringify(manifest)}\n`));
    renameSync(part, file);
    return counts.package ?? 0;
  } finally {
    rmSync(part, { force: true });
  }
}

/** The backup of this night, unless it is there; those older than a fortnight are thrown away. */
export async function backUpTonight(url: string, folder: string, today: string): Promise<void> {
  const before = readdirSync(folder).filter((name) => /^\d{4}-\d{2}-\d{2}\.sql\.gz$/.test(name));
  if (before.includes(`${today}.sql.gz`)) return;
  const packages = await backUp(url, path.join(folder, `${today}.sql.gz`));
  say(`Backup of ${today}: ${packages} packages, restored on trial and whole.`);
  for (const name of [...before, `${today}.sql.gz`].sort().reverse().slice(MAX_NIGHTS))
    rmSync(path.join(folder, name));
}
