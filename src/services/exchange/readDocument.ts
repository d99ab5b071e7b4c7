import Joi from 'joi';
import { type SectionRow, SECTIONS } from '@/store/sections';
import type { SentFile } from '@/workers/sentFile';
import { readInWorker } from '../calculators/heavy';
import { Problem } from '../door/problem';
import { HOUSEHOLD_WORDS } from '../door/schemas/household';
import { validate } from '../door/validate';
import type { DocumentHousehold } from './document';

/** A document that passed its schema. */
export type HouseholdDocument = { household: DocumentHousehold } & Record<string, SectionRow[]>;

/** What a household is called, as strictly as when it is typed. */
const WORDS = Joi.object({
  household: Joi.object({
    name: HOUSEHOLD_WORDS.name.required(),
    time_zone: HOUSEHOLD_WORDS.timeZone.required(),
    currency: HOUSEHOLD_WORDS.currency.required(),
    people: HOUSEHOLD_WORDS.people.required(),
  }).unknown(),
}).unknown();

const notOurs = (place: string, fault: string): Problem =>
  new Problem(
    400,
    'invalid',
    `This isn’t a household of Orderly Frost: ${place || 'the document'} ${fault}.`,
    {
      fields: [{ path: place.slice(0, 120), message: fault }],
    },
  );

/**
 * Reads a household’s document in a worker.
 *
 * @param cancelled whoever sent it went away
 * @throws Problem 400 with where it is wrong
 */
export async function readDocument(sent: SentFile, cancelled?: AbortSignal): Promise<HouseholdDocument> {
  const read = await readInWorker('householdJson', [sent], cancelled);
  if ('fault' in read) throw notOurs(read.place, read.fault);
  const { household, ...sections } = read.document as HouseholdDocument;
  validate(WORDS, { household });
  return { ...sections, household } as HouseholdDocument;
}

/** How many rows a document has, to tell how far it is. */
export const rowsOf = (document: HouseholdDocument): number =>
  SECTIONS.reduce((sum, { name }) => sum + (document[name]?.length ?? 0), 0);
