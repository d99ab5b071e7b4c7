import type { Role } from '@/core/model/role';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** Somebody who may come in: by a device that stays signed in, by a password, or by an invitation. */
export interface Member {
  id: string;
  name: string;
  /** The password by argon2id; `null`: none. */
  secret: string | null;
}

/** A member of a household, and what she may do there. */
export interface Membership {
  member: string;
  name: string;
  role: Role;
  hasPassword: boolean;
  hasSecondFactor: boolean;
  /** Her calendar has an address. */
  hasCalendar: boolean;
}

export async function addMember(sql: Sql, member: Member & { madeAt: string }): Promise<void> {
  await sql.run(
    `INSERT INTO member (id, name, secret, made_at)
     VALUES (:id, :name, :secret, :madeAt)`,
    { ...member, madeAt: toSqlInstant(member.madeAt) },
  );
}

/** A member by her name, whatever its case; `null`: there is none. */
export async function readMemberCalled(sql: Sql, name: string): Promise<Member | null> {
  const [row] = await sql.rows<Member>(`SELECT id, name, secret FROM member WHERE name = :name`, { name });
  return row ?? null;
}

export async function putSecret(sql: Sql, id: string, secret: string): Promise<void> {
  await sql.run(`UPDATE member SET secret = :secret WHERE id = :id`, { id, secret });
}

/** What a name is to the database, which compares it so: case, accents, width and what cannot be seen do not matter. */
export async function nameWeight(sql: Sql, name: string): Promise<string> {
  const [row] = await sql.rows<{ weight: string }>(
    `SELECT HEX(WEIGHT_STRING(RTRIM(CONVERT(:name USING utf8mb4)) COLLATE utf8mb4_unicode_ci)) AS weight`,
    { name },
  );
  return row?.weight ?? '';
}

/** True when anybody is a member of anything here. */
export async function hasMembers(sql: Sql): Promise<boolean> {
  return (await sql.rows(`SELECT 1 FROM membership LIMIT 1`)).length > 0;
}

/** Makes somebody a member, or gives a member another role. */
export async function putMembership(
  sql: Sql,
  householdId: number,
  memberId: string,
  role: Role,
): Promise<void> {
  await sql.run(
    `INSERT INTO membership (household_id, member_id, role)
     VALUES (:householdId, :memberId, :role)
         ON DUPLICATE KEY
     UPDATE role = VALUES(role)`,
    { householdId, memberId, role },
  );
}

/** What somebody may do in a household; `null`: she does not belong to it. */
export async function readRole(sql: Sql, householdId: number, memberId: string): Promise<Role | null> {
  const [row] = await sql.rows<{ role: Role }>(
    `SELECT role FROM membership WHERE household_id = :householdId AND member_id = :memberId FOR UPDATE`,
    { householdId, memberId },
  );
  return row?.role ?? null;
}

/** Ends a membership; a member of nothing is forgotten, with her devices. */
export async function dropMembership(sql: Sql, householdId: number, memberId: string): Promise<void> {
  await sql.run(`DELETE FROM membership WHERE household_id = :householdId AND member_id = :memberId`, {
    householdId,
    memberId,
  });
  await sql.run(
    `DELETE FROM member
      WHERE id = :memberId
        AND NOT EXISTS (SELECT 1 FROM membership WHERE membership.member_id = member.id)`,
    { memberId },
  );
}

/** The names of a household's cooks. */
export async function readCooks(sql: Sql, householdId: number): Promise<string[]> {
  const rows = await sql.rows<{ name: string }>(
    `SELECT member.name
       FROM membership
       JOIN member ON member.id = membership.member_id
      WHERE membership.household_id = :householdId
        AND membership.role = 'cook'
      ORDER BY member.name`,
    { householdId },
  );
  return rows.map(({ name }) => name);
}

/** The households that somebody belongs to. */
export async function readHouseholdsOf(sql: Sql, memberId: string): Promise<number[]> {
  const rows = await sql.rows<{ id: number }>(
    `SELECT household_id AS id FROM membership WHERE member_id = :memberId`,
    { memberId },
  );
  return rows.map(({ id }) => id);
}

/** The members of a household, locked until the transaction ends. */
export async function lockMemberships(sql: Sql, householdId: number): Promise<Membership[]> {
  const rows = await sql.rows<{
    member: string;
    name: string;
    role: Role;
    has_password: number;
    has_second_factor: number;
    has_calendar: number;
  }>(
    `SELECT member.id AS member, member.name, membership.role, member.secret IS NOT NULL AS has_password,
            member.totp_secret IS NOT NULL AS has_second_factor, membership.feed_key IS NOT NULL AS has_calendar
       FROM membership
       JOIN member ON member.id = membership.member_id
      WHERE membership.household_id = :householdId
      ORDER BY membership.role, member.name
        FOR UPDATE`,
    { householdId },
  );
  return rows.map(({ has_password, has_second_factor, has_calendar, ...row }) => ({
    ...row,
    hasPassword: has_password === 1,
    hasSecondFactor: has_second_factor === 1,
    hasCalendar: has_calendar === 1,
  }));
}

/** Takes an invitation that is still good out of the box, so that it counts once. */
export async function takeInvitation(
  sql: Sql,
  digest: string,
  now: string,
): Promise<{ householdId: number | null; role: Role } | null> {
  const [row] = await sql.rows<{ household_id: number | null; role: Role; ends_at: string }>(
    `SELECT household_id, role, ends_at
       FROM invitation
      WHERE code_digest = :digest
        FOR UPDATE`,
    { digest },
  );
  if (!row || fromSqlInstant(row.ends_at) <= now) return null;
  await sql.run(`DELETE FROM invitation WHERE code_digest = :digest`, { digest });
  return { householdId: row.household_id, role: row.role };
}

/** Writes an invitation down; what is over is forgotten on the way. `householdId` null: the set-up code, which replaces the one before. */
export async function addInvitation(
  sql: Sql,
  invitation: {
    digest: string;
    householdId: number | null;
    role: Role;
    madeBy: string | null;
    endsAt: string;
  },
  now: string,
): Promise<void> {
  await sql.run(
    `DELETE FROM invitation
      WHERE ends_at <= :now
         OR (:householdId IS NULL AND household_id IS NULL)`,
    { householdId: invitation.householdId, now: toSqlInstant(now) },
  );
  await sql.run(
    `INSERT INTO invitation (code_digest, household_id, role, made_by, ends_at)
     VALUES (:digest, :householdId, :role, :madeBy, :endsAt)`,
    { ...invitation, endsAt: toSqlInstant(invitation.endsAt) },
  );
}

/** How many invitations of a household are still open. */
export async function countInvitations(sql: Sql, householdId: number, now: string): Promise<number> {
  const [row] = await sql.rows<{ open: number }>(
    `SELECT COUNT(*) AS open FROM invitation WHERE household_id = :householdId AND ends_at > :now`,
    { householdId, now: toSqlInstant(now) },
  );
  return Number(row?.open ?? 0);
}

/** Takes back all open invitations of a household. */
export async function dropInvitations(sql: Sql, householdId: number): Promise<void> {
  await sql.run(`DELETE FROM invitation WHERE household_id = :householdId`, { householdId });
}
