import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** What happens to keys that cooks may read. */
export const SECURITY_KINDS = [
  'sign-in',
  'refused',
  'role',
  'member',
  'device',
  'code',
  'password',
  'restored',
  'export',
] as const;
export type SecurityKind = (typeof SECURITY_KINDS)[number];

export interface SecurityEvent {
  at: string;
  kind: SecurityKind;
  /** Who did it; `null`: nobody who is known. */
  member: string | null;
  says: string;
}

/** So long they are kept, days. */
const KEPT_DAYS = 400;

/** Writes an event down for some households; what is too old is forgotten on the way. */
export async function addSecurityEvent(
  sql: Sql,
  householdIds: readonly number[],
  { at, kind, member, says }: SecurityEvent,
): Promise<void> {
  for (const householdId of householdIds) {
    await sql.run(
      `INSERT INTO security_event (household_id, at, kind, member_name, says)
       VALUES (:householdId, :at, :kind, :member, :says)`,
      { householdId, at: toSqlInstant(at), kind, member, says: says.slice(0, 300) },
    );
    await sql.run(
      `DELETE FROM security_event
        WHERE household_id = :householdId
          AND at < :at - INTERVAL ${KEPT_DAYS} DAY
        LIMIT 100`,
      { householdId, at: toSqlInstant(at) },
    );
  }
}

/** The newest first. */
export async function readSecurityEvents(
  sql: Sql,
  householdId: number,
  limit: number,
): Promise<SecurityEvent[]> {
  const rows = await sql.rows<{ at: string; kind: SecurityKind; member_name: string | null; says: string }>(
    `SELECT at, kind, member_name, says
       FROM security_event
      WHERE household_id = :householdId
      ORDER BY id DESC
      LIMIT ${Math.floor(limit)}`,
    { householdId },
  );
  return rows.map(({ at, member_name: member, ...row }) => ({ ...row, at: fromSqlInstant(at), member }));
}
