import { readFileSync } from 'node:fs';
import path from 'node:path';
import { inflateSync } from 'node:zlib';

const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

const padded = (length: number): number => (length + 3) & ~3;

/** A font's file as it is inside its WOFF wrapping (W3C, WOFF 1.0), so that it is not unpacked again for every paper. */
function unwrapped(woff: Buffer): Buffer {
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, nth) => {
    const at = WOFF_HEADER + nth * WOFF_ENTRY;
    const [from, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(at + field)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(from, from + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      bytes: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const begin = SFNT_HEADER + count * SFNT_ENTRY;
  const plain = Buffer.alloc(tables.reduce((sum, { bytes }) => sum + padded(bytes.length), begin));
  woff.copy(plain, 0, 4, 8);
  plain.writeUInt16BE(count, 4);
  const power = Math.floor(Math.log2(count));
  plain.writeUInt16BE(2 ** power * SFNT_ENTRY, 6);
  plain.writeUInt16BE(power, 8);
  plain.writeUInt16BE((count - 2 ** power) * SFNT_ENTRY, 10);
  let to = begin;
  tables.forEach(({ tag, checksum, bytes }, nth) => {
    const at = SFNT_HEADER + nth * SFNT_ENTRY;
    tag.copy(plain, at);
    plain.writeUInt32BE(checksum, at + 4);
    plain.writeUInt32BE(to, at + 8);
    plain.writeUInt32BE(bytes.length, at + 12);
    bytes.copy(plain, to);
    to += padded(bytes.length);
  });
  return plain;
}

const known = new Map<string, Buffer>();

/** The bytes of a font that ships with the app, read once. @param file below `node_modules/`, a WOFF */
export function plainFont(file: string): Buffer {
  const before = known.get(file);
  if (before) return before;
  const font = unwrapped(readFileSync(path.join(process.cwd(), 'node_modules', file)));
  known.set(file, font);
  return font;
}
