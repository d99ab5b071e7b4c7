import { openSync, readFileSync, readSync, closeSync, statSync } from 'node:fs';

/** A file that somebody sent: where it lies until it is read, or its bytes where they are at hand. */
export type SentFile = { path: string } | Uint8Array;

/** Its bytes. */
export const bytesOf = (file: SentFile): Uint8Array => ('path' in file ? readFileSync(file.path) : file);

/** How long it is, bytes. */
export const lengthOf = (file: SentFile): number =>
  'path' in file ? statSync(file.path).size : file.byteLength;

/** Its first bytes, without reading the rest. */
export function headOf(file: SentFile, length: number): Buffer {
  if (!('path' in file)) return Buffer.from(file.subarray(0, length));
  const head = Buffer.alloc(length);
  const handle = openSync(file.path, 'r');
  try {
    return head.subarray(0, readSync(handle, head, 0, length, 0));
  } finally {
    closeSync(handle);
  }
}
