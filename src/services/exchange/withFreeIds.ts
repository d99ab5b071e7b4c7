import { v4 as newUuid } from 'uuid';
import type { Package } from '@/core/model/package';
import type { Sql } from '@/store/database';
import { idsTaken, type SectionRow } from '@/store/sections';
import type { HouseholdDocument } from './readDocument';

/** Ids that the whole store shares: one that is taken here gets another, everywhere in the document. */
export async function withFreeIds(db: Sql, told: HouseholdDocument): Promise<HouseholdDocument> {
  const idsOf = (name: string, read: (row: SectionRow) => unknown) =>
    (told[name] ?? []).map((row) => String(read(row)));
  const taken = [
    ...(await idsTaken(
      db,
      'food',
      idsOf('foods', ({ id }) => id),
    )),
    ...(await idsTaken(
      db,
      'lot',
      idsOf('lots', ({ id }) => id),
    )),
    ...(await idsTaken(
      db,
      'package',
      idsOf('packages', ({ image }) => (image as Package).id),
    )),
  ];
  if (taken.length === 0) return told;
  const anew = new Map(
    taken.map((id) => {
      const name = /^own-(.*?)(-[0-9a-f]{8,32})?$/.exec(id)?.[1];
      return [
        id,
        name === undefined ? newUuid() : `own-${name.slice(0, 24)}-${newUuid().replaceAll('-', '')}`,
      ];
    }),
  );
  const text = JSON.stringify(told);
  return JSON.parse(
    text.replaceAll(
      /own-[a-z0-9-]+|[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g,
      (id) => anew.get(id) ?? id,
    ),
  ) as HouseholdDocument;
}
