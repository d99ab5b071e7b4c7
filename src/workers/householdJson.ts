import { readFileSync } from 'node:fs';
import path from 'node:path';
import Ajv, { type ValidateFunction } from 'ajv';
import { brokenText } from '../core/model/brokenText';
import { Refusal } from '../core/model/refusal';
import { bytesOf, type SentFile } from './sentFile';

const SCHEMA = path.join(process.cwd(), 'data', 'formats', 'household.schema.json');
let schema: ValidateFunction | null = null;

/** The published schema, ready to check with. */
const schemaOf = (): ValidateFunction =>
  (schema ??= new Ajv({ allErrors: false, strict: false, allowUnionTypes: true }).compile(
    JSON.parse(readFileSync(SCHEMA, 'utf8')) as object,
  ));

/** What a document is, or where it is wrong: its place ("household.time_zone") and what is wrong there. */
export type ReadHousehold = { document: object } | { place: string; fault: string };

/**
 * Reads a household's document and checks it against the published schema.
 *
 * @throws Refusal `unreadable` for what is no JSON, `newer` for a later version's
 */
export function householdJson(sent: SentFile): ReadHousehold {
  let read: unknown;
  try {
    read = JSON.parse(
      Buffer.from(bytesOf(sent))
        .toString('utf8')
        .replace(/^\ufeff/, ''),
    );
  } catch {
    throw new Refusal('unreadable', 'This file isn’t a complete JSON document.');
  }
  const { version } = (read ?? {}) as { version?: unknown };
  if (typeof version === 'number' && version > 1)
    throw new Refusal('newer', 'This document comes from a newer Orderly Frost. Update this one first.');
  const check = schemaOf();
  if (!check(read)) {
    const [first] = check.errors ?? [];
    const place = (first?.instancePath ?? '').slice(1).replaceAll('/', '.');
    return { place, fault: first?.message ?? 'is wrong' };
  }
  const broken = brokenText(read);
  return broken === null
    ? { document: read as object }
    : { place: broken, fault: 'has half a character in it' };
}
