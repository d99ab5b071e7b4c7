/** A backup's statements, each looked at before it is carried out: our own tables are made and filled, and nothing else. */
import { createReadStream } from 'node:fs';
import { createGunzip } from 'node:zlib';
import { digestOf, MANIFEST_MARK, type Manifest, newDigest, readManifest } from './manifest';

/** Larger than any row that is written: a photo in hexadecimal. */
const LONGEST_LINE = 256 * 1024 * 1024;
const NAME = '`[a-z_0-9]{1,64}`';
const QUOTED = /'(?:[^'\\]|\\.|'')*'/gs;

const ALLOWED: readonly RegExp[] = [
  /^$/,
  /^--( .*)?$/,
  /^\/\*M!999999\\- enable the sandbox mode \*\/ ?$/,
  /^\/\*M?!\d{5,6} SET (?!GLOBAL|PERSIST|PASSWORD|@@GLOBAL)[@A-Z_a-z0-9 =,.+:'`]*\*\/;$/,
  new RegExp(String.raw`^\/\*!\d{5} ALTER TABLE ${NAME} (DISABLE|ENABLE) KEYS \*\/;$`),
  /^SET @[\w@ ]+= ?@@?[\w]+;$/,
  /^SET character_set_client = \w+;$/,
  new RegExp(`^DROP TABLE IF EXISTS ${NAME};$`),
  new RegExp(`^LOCK TABLES ${NAME} WRITE;$`),
  /^UNLOCK TABLES;$/,
  new RegExp(String.raw`^CREATE TABLE ${NAME} \($`),
  /^set autocommit=0;$/i,
  /^commit;$/i,
];
const COLUMN_LINE = /^ {2}[^;]*$/;
const TABLE_END = /^\) ENGINE=InnoDB[^;]*;$/;
const INSERT = new RegExp(String.raw`^INSERT INTO ${NAME} VALUES\b`);

/** Looks at one line after the other. @returns what is wrong with a line; `null`: nothing */
function lineJudge(): (line: string) => string | null {
  let inTable = false;
  let inRows = false;
  return (line) => {
    const plain = line.replace(QUOTED, "''");
    if (inTable) {
      if (TABLE_END.test(plain)) inTable = false;
      else if (!COLUMN_LINE.test(plain)) return 'a table is described in another way';
      return null;
    }
    if (inRows || INSERT.test(plain)) {
      inRows = !plain.endsWith(';');
      return plain.slice(0, -1).includes(';') ? 'rows come with another statement' : null;
    }
    if (!ALLOWED.some((one) => one.test(plain))) return `“${line.slice(0, 60)}” is no part of a backup`;
    inTable = /^CREATE TABLE/.test(plain);
    return null;
  };
}

/** The lines of a backup with their ends, as they were written. */
async function* linesOf(file: string): AsyncGenerator<Buffer> {
  let rest: Buffer[] = [];
  let length = 0;
  for await (const chunk of createReadStream(file).pipe(createGunzip())) {
    let from = 0;
    const bytes = chunk as Buffer;
    for (let at = bytes.indexOf(10); at !== -1; at = bytes.indexOf(10, from)) {
      yield Buffer.concat([...rest, bytes.subarray(from, at + 1)]);
      rest = [];
      length = 0;
      from = at + 1;
    }
    rest.push(bytes.subarray(from));
    length += bytes.length - from;
    if (length > LONGEST_LINE) throw new Error('a line is longer than any that we write');
  }
  if (length > 0) yield Buffer.concat(rest);
}

/** What is wrong with a file that is said to be a backup. */
export class NoBackup extends Error {
  constructor(file: string, why: string) {
    super(`${file} can’t be restored: ${why}. Nothing was changed.`);
  }
}

/**
 * Reads a backup through, statement by statement.
 *
 * @param each is given every statement's bytes
 * @param bare it was written before 0.14 and has no manifest
 * @returns its manifest; `null` for a bare one
 * @throws NoBackup for what is cut off, changed, another program's, or does more than fill our tables
 */
export async function readBackup(
  file: string,
  bare: boolean,
  each: (line: Buffer) => Promise<void> = () => Promise.resolve(),
): Promise<Manifest | null> {
  const judge = lineJudge();
  const digest = newDigest();
  let manifest: Manifest | null = null;
  let last = '';
  try {
    for await (const line of linesOf(file)) {
      const text = line.toString('utf8').replace(/\r?\n$/, '');
      if (manifest) throw new NoBackup(file, 'something follows its last line');
      if (text.startsWith(MANIFEST_MARK)) {
        manifest = readManifest(text);
        if (manifest?.sha256 !== digestOf(digest))
          throw new NoBackup(file, 'it was changed after it was written');
        continue;
      }
      const fault = judge(text);
      if (fault !== null) throw new NoBackup(file, fault);
      digest.update(line);
      if (text !== '') last = text;
      await each(line);
    }
  } catch (error) {
    if (error instanceof NoBackup) throw error;
    throw new NoBackup(file, 'it isn’t a whole backup of Orderly Frost');
  }
  if (!manifest && !(bare && last.startsWith('-- Dump completed')))
    throw new NoBackup(
      file,
      'it isn’t a whole backup of Orderly Frost. (One that was written before version 0.14: add --before-0.14)',
    );
  return manifest;
}
