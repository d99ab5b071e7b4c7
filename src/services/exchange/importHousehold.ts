import { codeNumber } from '@/core/labels/codeNumber';
import { FURTHEST_CODE } from '@/core/model/limits';
import type { Package } from '@/core/model/package';
import { NO_WISH } from '@/core/model/wish';
import { hasCode, type Sql } from '@/store/database';
import { renewTally } from '@/store/dayTally';
import { putNextCode } from '@/store/codeNumbers';
import { addHousehold } from '@/store/households';
import { drawingOf, readKitchen } from '@/store/kitchens';
import { addPackages, putBeside } from '@/store/putPackages';
import { nestZones, putSection, type Section, type SectionRow, SECTIONS } from '@/store/sections';
import { renewZoneFill } from '@/store/zoneFill';
import { toStored } from '../door/applyDecision';
import { newFeedKey } from '../door/loadWorld';
import { Problem } from '../door/problem';
import { drawIn } from '../door/putSetting';
import { renewIn } from '../household/renewFigures';
import { type Believing, believedEvent, believing } from './believing';
import type { HouseholdDocument } from './readDocument';
import { withFreeIds } from './withFreeIds';

/** What the tables of a section say besides, until it is worked out. */
const TO_BE_MEASURED: Readonly<Record<string, Record<string, unknown>>> = {
  zones: { litres: 1, temperature_c: 4, lifts: 0 },
};
const SHELF = 200;

/** What the store says of rows that do not fit each other. */
const MISFITS = [
  'ER_NO_REFERENCED_ROW_2',
  'ER_DUP_ENTRY',
  'ER_CONSTRAINT_FAILED',
  'ER_DATA_TOO_LONG',
  'WARN_DATA_TRUNCATED',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_WARN_DATA_OUT_OF_RANGE',
  'ER_BAD_NULL_ERROR',
];

/** Writes one section; rows that do not fit say so. @throws Problem 422 */
async function put(db: Sql, householdId: number, part: Section, rows: readonly SectionRow[]): Promise<void> {
  try {
    await putSection(db, householdId, part, rows, TO_BE_MEASURED[part.name]);
  } catch (error) {
    if (!hasCode(error, MISFITS)) throw error;
    throw new Problem(422, 'refused', `Rows of “${part.name}” do not fit what else the document says.`, {
      fields: [{ path: part.name, message: 'speaks of something that is not there, or is there twice' }],
    });
  }
}

/** @returns of how many the history cannot be */
async function putPackages(
  db: Sql,
  { household, reference, believed }: Believing,
  rows: readonly SectionRow[],
  tell: (rows: number) => Promise<void>,
): Promise<number> {
  let doubted = 0;
  const world = {
    settings: household.settings,
    wish: (id: string) => reference.wishes.get(id) ?? NO_WISH,
    food: (id: string) => reference.byId.get(id) ?? { densityKgPerL: 1 },
  };
  for (let from = 0; from < rows.length; from += SHELF) {
    const told = rows.slice(from, from + SHELF).map(({ image }) => image as Package);
    const images = told.map(believed);
    doubted += images.filter((image, at) => image !== told[at]).length;
    try {
      await addPackages(
        db,
        household.id,
        images.map((image) => toStored(image, world)),
      );
    } catch (error) {
      if (!hasCode(error, MISFITS)) throw error;
      throw new Problem(422, 'refused', 'Packages do not fit what else the document says.', {
        fields: [
          {
            path: 'packages',
            message: 'of a lot, a food or a zone that is not there, or a code that is there twice',
          },
        ],
      });
    }
    for (const image of images) await putBeside(db, household.id, image);
    await tell(images.length);
  }
  return doubted;
}

/** What came in. */
export interface CameIn {
  householdId: number;
  name: string;
  /** Packages that the figures of this version date earlier than the document did. */
  earlier: number;
  /** Packages whose history cannot be: past, and not for eating. */
  doubted: number;
}

/** How many codes are spent: what the document says, but never fewer than stand on its labels, now or before. */
function spentCodes({ household, packages = [] }: HouseholdDocument): number {
  return packages.reduce((most, { image }) => {
    const { code, oldCodes = [] } = image as Package;
    const numbers = [code, ...oldCodes].map((one) => codeNumber(one) ?? 0).filter((n) => n < FURTHEST_CODE);
    return Math.max(most, ...numbers.map((n) => n + 1));
  }, household.next_code);
}

/**
 * Writes a household that came as a document, as a new one beside those that are here. Nothing that was worked out is believed:
 * room, days and dates are worked out anew, dates only to earlier ones; where they cannot be, the package is past.
 *
 * @param db a transaction: all of it or nothing @param name another one than the document's, when that is taken
 * @param tell how many rows went in meanwhile; it may throw, to stop
 * @throws Problem 422
 */
export async function importHousehold(
  db: Sql,
  document: HouseholdDocument,
  name: string,
  tell: (rows: number) => Promise<void>,
): Promise<CameIn> {
  const told = await withFreeIds(db, document);
  const { household } = told;
  const householdId = await addHousehold(db, {
    name,
    timeZone: household.time_zone,
    currency: household.currency,
    own: true,
    settings: {
      caution: household.caution,
      units: household.units,
      decimals: household.decimals,
      dateOrder: household.date_order,
      people: household.people,
      marks: household.marks ?? {},
      hemisphere: household.hemisphere ?? 'north',
      notifyAt: household.notify_at,
      leadChilled: household.lead_chilled,
      leadFrozen: household.lead_frozen,
      feedKey: newFeedKey(),
    },
  });
  await putNextCode(db, householdId, spentCodes(told));
  let doubted = 0;
  let belief: Believing | null = null;
  for (const part of SECTIONS) {
    const rows = told[part.name] ?? [];
    if (part.name === 'packages') {
      belief = await believing(db, householdId);
      doubted = await putPackages(db, belief, rows, tell);
      continue;
    }
    const flat = part.name === 'zones' ? rows.map((row) => ({ ...row, parent_id: null })) : rows;
    const known = belief;
    for (let from = 0; from < flat.length; from += SHELF) {
      const shelf = flat.slice(from, from + SHELF);
      const some = part.name === 'events' && known ? shelf.map((row) => believedEvent(row, known)) : shelf;
      await put(db, householdId, part, some);
      await tell(some.length);
    }
    if (part.name === 'zones') {
      await nestZones(db, householdId, rows);
      const kitchen = await readKitchen(db, householdId);
      for (const { id } of kitchen.appliances) {
        const drawing = drawingOf(kitchen, id);
        if (drawing) await drawIn(db, householdId, drawing);
      }
    }
  }
  await renewTally(db, householdId);
  const { zones } = await readKitchen(db, householdId);
  await renewZoneFill(
    db,
    householdId,
    zones.map(({ id }) => id),
  );
  return { householdId, name, earlier: await renewIn(db, householdId), doubted };
}
