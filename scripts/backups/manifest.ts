/** What a backup says of itself in its last line, so that it is known to be whole and ours before anything of it is believed. */
import { createHash, type Hash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Connection } from 'mysql2/promise';
import { rowsOf, tablesOf } from './client';

export interface Manifest {
  format: 1;
  /** Of Orderly Frost that wrote it. */
  version: string;
  made_at: string;
  households: string[];
  /** Rows of each table. */
  counts: Record<string, number>;
  /** SHA-256 of everything before this line. */
  sha256: string;
}

export const MANIFEST_MARK = '-- Orderly Frost backup ';

export const ourVersion = (): string =>
  (
    JSON.parse(readFileSync(path.join(import.meta.dirname, '..', '..', 'package.json'), 'utf8')) as {
      version: string;
    }
  ).version;

/** How many rows each table of a database has. */
export async function countRows(db: Connection, name: string): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const table of await tablesOf(db, name)) {
    const [row] = await rowsOf<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM ??.??', [name, table]);
    counts[table] = Number(row?.n);
  }
  return counts;
}

export const digestOf = (hash: Hash): string => hash.copy().digest('hex');
export const newDigest = (): Hash => createHash('sha256');

/** Reads a manifest's line; `null`: it is none. */
export function readManifest(line: string): Manifest | null {
  if (!line.startsWith(MANIFEST_MARK)) return null;
  try {
    const read = JSON.parse(line.slice(MANIFEST_MARK.length)) as Manifest;
    const whole = read.format === 1 && /^[0-9a-f]{64}$/.test(read.sha256) && typeof read.counts === 'object';
    return whole && Array.isArray(read.households) ? read : null;
  } catch {
    return null;
  }
}
