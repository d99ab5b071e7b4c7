import { readFile } from 'node:fs/promises';
import path from 'node:path';
import Ajv, { type ValidateFunction } from 'ajv';
import { type SectionRow, SECTIONS } from '@/store/sections';
import { Problem } from '../door/problem';
import type { DocumentHousehold } from './document';

/** A document that passed its schema. */
export type HouseholdDocument = { household: DocumentHousehold } & Record<string, SectionRow[]>;

const SCHEMA = path.join(process.cwd(), 'data', 'formats', 'household.schema.json');
const MOST_FAULTS = 50;
let schema: Promise<ValidateFunction> | null = null;

/** The published schema, ready to check with. */
const schemaOf = (): Promise<ValidateFunction> =>
  (schema ??= readFile(SCHEMA, 'utf8').then((text) =>
    new Ajv({ allErrors: false, strict: false, allowUnionTypes: true }).compile(JSON.parse(text) as object),
  ));

/** Reads a document. @throws Problem 400 with where it is wrong */
export async function readDocument(text: string): Promise<HouseholdDocument> {
  let told: unknown;
  try {
    told = JSON.parse(text);
  } catch {
    throw new Problem(400, 'invalid', 'That is no JSON document, or not a whole one.');
  }
  const { version } = (told ?? {}) as { version?: unknown };
  if (typeof version === 'number' && version > 1)
    throw new Problem(400, 'newer', 'That document comes from a newer Orderly Frost. Update this one first.');
  const check = await schemaOf();
  if (check(told)) return told as HouseholdDocument;
  const fields = (check.errors ?? []).slice(0, MOST_FAULTS).map(({ instancePath, message = 'is wrong' }) => ({
    path: instancePath.slice(1).replaceAll('/', '.').slice(0, 120),
    message,
  }));
  throw new Problem(
    400,
    'invalid',
    `That is no household of Orderly Frost: ${fields[0]?.path || 'the document'} ${fields[0]?.message}.`,
    { fields },
  );
}

/** How many rows a document has, to tell how far it is. */
export const rowsOf = (document: HouseholdDocument): number =>
  SECTIONS.reduce((sum, { name }) => sum + (document[name]?.length ?? 0), 0);
