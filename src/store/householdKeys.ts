import type { Sql } from './database';

/** The household whose calendar has this key; `null`: none. */
export async function readHouseholdByFeed(sql: Sql, feedKey: string): Promise<number | null> {
  const [row] = await sql.rows<{ id: number }>(
    `SELECT id
       FROM household
      WHERE feed_key = :feedKey
        AND feed_key <> ''
      LIMIT 1`,
    { feedKey },
  );
  return row?.id ?? null;
}

/** Households that a newer schema has not given a calendar address yet. */
export async function readWithoutFeed(sql: Sql): Promise<number[]> {
  const rows = await sql.rows<{ id: number }>(`SELECT id FROM household WHERE feed_key = ''`);
  return rows.map(({ id }) => id);
}

export async function putFeedKey(sql: Sql, householdId: number, feedKey: string): Promise<void> {
  await sql.run(`UPDATE household SET feed_key = :feedKey WHERE id = :householdId`, { householdId, feedKey });
}

/** Sets the key by which labels open for who is no member. */
export async function putGuestKey(sql: Sql, householdId: number, guestKey: string): Promise<void> {
  await sql.run(`UPDATE household SET guest_key = :guestKey WHERE id = :householdId`, {
    householdId,
    guestKey,
  });
}

/** A household's key for labels; empty: none yet. */
export async function readGuestKey(sql: Sql, householdId: number): Promise<string> {
  const [row] = await sql.rows<{ guest_key: string }>(
    `SELECT guest_key FROM household WHERE id = :householdId`,
    { householdId },
  );
  return row?.guest_key ?? '';
}
