import { type Sql, transaction } from '@/store/database';
import { readNextCode } from '@/store/codeNumbers';
import { type Household, readHousehold } from '@/store/households';
import { readSection, type SectionRow, SECTIONS } from '@/store/sections';
import { type DocumentHousehold, FORMAT, FORMAT_VERSION, withoutKeys } from './document';

/** The household as its document begins. */
async function headOf(db: Sql, householdId: number): Promise<DocumentHousehold> {
  const found = await readHousehold(db, householdId);
  if (!found) throw new Error(`no household ${householdId}`);
  const { name, timeZone, currency, settings } = found;
  return {
    name,
    time_zone: timeZone,
    currency,
    caution: settings.caution,
    units: settings.units,
    decimals: settings.decimals,
    date_order: settings.dateOrder,
    people: settings.people,
    marks: settings.marks,
    hemisphere: settings.hemisphere,
    notify_at: settings.notifyAt,
    lead_chilled: settings.leadChilled,
    lead_frozen: settings.leadFrozen,
    next_code: await readNextCode(db, householdId),
  };
}

const plain = (row: SectionRow): SectionRow =>
  'before_image' in row
    ? { ...row, before_image: withoutKeys(row.before_image), after_image: withoutKeys(row.after_image) }
    : row;

/**
 * Writes a whole household as one JSON document, page by page, so that a large one needs no more memory than a small one; as it
 * stood at one moment, whatever is told meanwhile. The same household gives the same bytes.
 *
 * @param write takes the next part, and says when it may have another
 */
export async function exportHousehold(
  { id }: Pick<Household, 'id'>,
  write: (part: string) => Promise<void>,
): Promise<void> {
  await transaction(async (db) => {
    const head = { format: FORMAT, version: FORMAT_VERSION, household: await headOf(db, id) };
    await write(JSON.stringify(head, null, 1).slice(0, -2));
    for (const part of SECTIONS) {
      await write(`,\n "${part.name}": [`);
      let first = true;
      for await (const rows of readSection(db, id, part)) {
        await write((first ? '' : ',') + rows.map((row) => `\n  ${JSON.stringify(plain(row))}`).join(','));
        first = false;
      }
      await write(first ? ']' : '\n ]');
    }
    await write('\n}\n');
  });
}

/** Nobody is waited for longer than this: a reader that stalls must not hold the store. */
const STALLED_MS = 30_000;

/** What is written in parts, as a stream of bytes for whoever reads at her own pace. */
export function asStream(
  write: (put: (part: string) => Promise<void>) => Promise<void>,
): ReadableStream<Uint8Array> {
  const { readable, writable } = new TransformStream<Uint8Array, Uint8Array>();
  const writer = writable.getWriter();
  const encoder = new TextEncoder();
  const put = async (part: string): Promise<void> => {
    let late: NodeJS.Timeout | undefined;
    const stalled = new Promise<never>((_, reject) => {
      late = setTimeout(() => reject(new Error('nobody reads on')), STALLED_MS);
    });
    try {
      await Promise.race([writer.ready, stalled]);
      await Promise.race([writer.write(encoder.encode(part)), stalled]);
    } finally {
      clearTimeout(late);
    }
  };
  void write(put).then(
    () => writer.close().catch(() => undefined),
    (error: unknown) => writer.abort(error).catch(() => undefined),
  );
  return readable;
}
