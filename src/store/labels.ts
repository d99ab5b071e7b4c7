import type { LotLook } from '@/core/model/kept';
import type { Package } from '@/core/model/package';
import { fromJson, type Sql } from './database';

/** Packages whose label says a later date than they have, first out first (EXPLAIN: ref over package_new_label). */
export async function readUntrueLabels(sql: Sql, householdId: number, limit: number): Promise<Package[]> {
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND new_label = TRUE
        AND here = TRUE
      ORDER BY first_out
      LIMIT ${limit}`,
    { householdId },
  );
  return rows.map(({ image }) => fromJson<Package>(image));
}

/** Lots of which one was found bad or entered wrongly, each with what else of it is here. */
export async function readLotLooks(
  sql: Sql,
  householdId: number,
  limit: number,
): Promise<{ lot: string; look: LotLook; sisters: { code: string }[] }[]> {
  const rows = await sql.rows<{ lot: string; look: unknown; code: string }>(
    `SELECT kept.subject AS lot, kept.value AS look, package.code
       FROM kept
       JOIN package ON package.household_id = kept.household_id AND package.lot_id = kept.subject
      WHERE kept.household_id = :householdId
        AND kept.kind = 'lot-look'
        AND package.here = TRUE
        AND package.code <> JSON_VALUE(kept.value, '$.code')
      ORDER BY kept.subject, package.first_out
      LIMIT 500`,
    { householdId },
  );
  const lots = new Map<string, { lot: string; look: LotLook; sisters: { code: string }[] }>();
  for (const { lot, look, code } of rows) {
    const its = lots.get(lot) ?? { lot, look: fromJson<LotLook>(look), sisters: [] };
    its.sisters.push({ code });
    lots.set(lot, its);
  }
  return [...lots.values()].slice(0, limit);
}
