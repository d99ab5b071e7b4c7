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

/** The household of the member whose calendar has this key; `null`: nobody's. */
export async function readMemberByFeed(sql: Sql, feedKey: string): Promise<number | null> {
  const [row] = await sql.rows<{ id: number }>(
    `SELECT household_id AS id FROM membership WHERE feed_key = :feedKey`,
    { feedKey },
  );
  return row?.id ?? null;
}

/** A member's key; `null`: her calendar has none. */
export async function readMemberFeed(
  sql: Sql,
  householdId: number,
  memberId: string,
): Promise<string | null> {
  const [row] = await sql.rows<{ feed_key: string | null }>(
    `SELECT feed_key FROM membership WHERE household_id = :householdId AND member_id = :memberId`,
    { householdId, memberId },
  );
  return row?.feed_key ?? null;
}

export async function putMemberFeed(
  sql: Sql,
  householdId: number,
  memberId: string,
  feedKey: string | null,
): Promise<void> {
  await sql.run(
    `UPDATE membership SET feed_key = :feedKey WHERE household_id = :householdId AND member_id = :memberId`,
    { householdId, memberId, feedKey },
  );
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
