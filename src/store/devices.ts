import type { Role } from '@/core/model/role';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** A device that stays signed in. */
export interface Device {
  id: string;
  member: string;
  /** What it says of itself: "Firefox on Android". */
  name: string;
  madeAt: string;
  seenAt: string;
}

/** Whose device asks, and what she may do where. */
export interface SignedIn {
  device: string;
  member: string;
  name: string;
  seenAt: string;
  /** When the password was last given on this device; `null`: never. */
  provedAt: string | null;
  memberships: { householdId: number; role: Role }[];
}

/** Who holds this token, and the households where that device was not put out; `null`: nobody, or not any more. The own household made last stands first. */
export async function readSignedIn(sql: Sql, digest: string, now: string): Promise<SignedIn | null> {
  const rows = await sql.rows<{
    device: string;
    member: string;
    name: string;
    seen_at: string;
    proved_at: string | null;
    household_id: number | null;
    role: Role;
  }>(
    `SELECT device.id AS device, member.id AS member, member.name, device.seen_at, device.proved_at,
            membership.household_id, membership.role
       FROM device
       JOIN member ON member.id = device.member_id
       LEFT JOIN membership ON membership.member_id = member.id
             AND NOT EXISTS (SELECT 1
                               FROM device_out
                              WHERE device_out.device_id = device.id
                                AND device_out.household_id = membership.household_id)
       LEFT JOIN household ON household.id = membership.household_id
      WHERE device.token_digest = :digest
        AND device.ends_at > :now
      ORDER BY household.own DESC, IF(household.own, -CAST(household.id AS SIGNED), household.id)`,
    { digest, now: toSqlInstant(now) },
  );
  const [first] = rows;
  if (!first) return null;
  return {
    device: first.device,
    member: first.member,
    name: first.name,
    seenAt: fromSqlInstant(first.seen_at),
    provedAt: first.proved_at === null ? null : fromSqlInstant(first.proved_at),
    memberships: rows.flatMap(({ household_id: householdId, role }) =>
      householdId === null ? [] : [{ householdId, role }],
    ),
  };
}

export async function addDevice(
  sql: Sql,
  device: Omit<Device, 'seenAt'> & { digest: string; endsAt: string; proved: boolean },
): Promise<void> {
  await sql.run(
    `INSERT INTO device (id, member_id, token_digest, name, made_at, seen_at, ends_at, proved_at)
     VALUES (:id, :member, :digest, :name, :madeAt, :madeAt, :endsAt, IF(:proved, :madeAt, NULL))`,
    { ...device, madeAt: toSqlInstant(device.madeAt), endsAt: toSqlInstant(device.endsAt) },
  );
}

/** Says that a device was here, and lets it stay longer. */
export async function seeDevice(
  sql: Sql,
  id: string,
  { seenAt, endsAt }: { seenAt: string; endsAt: string },
): Promise<void> {
  await sql.run(`UPDATE device SET seen_at = :seenAt, ends_at = :endsAt WHERE id = :id`, {
    id,
    seenAt: toSqlInstant(seenAt),
    endsAt: toSqlInstant(endsAt),
  });
}

/** Says that a device's member gave her password on it. */
export async function proveDevice(sql: Sql, id: string, at: string): Promise<void> {
  await sql.run(`UPDATE device SET proved_at = :at WHERE id = :id`, { id, at: toSqlInstant(at) });
}

/** Devices by which members come into a household, the latest first. */
export async function readDevices(sql: Sql, householdId: number, now: string): Promise<Device[]> {
  const rows = await sql.rows<{
    id: string;
    member: string;
    name: string;
    made_at: string;
    seen_at: string;
  }>(
    `SELECT device.id, device.member_id AS member, device.name, device.made_at, device.seen_at
       FROM device
       JOIN membership ON membership.member_id = device.member_id
       LEFT JOIN device_out ON device_out.device_id = device.id AND device_out.household_id = membership.household_id
      WHERE membership.household_id = :householdId
        AND device_out.device_id IS NULL
        AND device.ends_at > :now
      ORDER BY device.seen_at DESC, device.id`,
    { householdId, now: toSqlInstant(now) },
  );
  return rows.map(({ made_at, seen_at, ...row }) => ({
    ...row,
    madeAt: fromSqlInstant(made_at),
    seenAt: fromSqlInstant(seen_at),
  }));
}

/** Puts a device out of every household. @returns false when it is not there */
export async function dropDevice(sql: Sql, id: string): Promise<boolean> {
  const { affectedRows } = await sql.run(`DELETE FROM device WHERE id = :id`, { id });
  return affectedRows > 0;
}

/** Puts a device out of one household; one that comes into no other is forgotten. */
export async function shutOut(sql: Sql, id: string, householdId: number): Promise<void> {
  await sql.run(`INSERT IGNORE INTO device_out (device_id, household_id) VALUES (:id, :householdId)`, {
    id,
    householdId,
  });
  await sql.run(
    `DELETE FROM device
      WHERE id = :id
        AND NOT EXISTS (SELECT 1
                          FROM membership
                          LEFT JOIN device_out ON device_out.device_id = :id
                                AND device_out.household_id = membership.household_id
                         WHERE membership.member_id = device.member_id
                           AND device_out.device_id IS NULL)`,
    { id },
  );
}

/** Lets a device into a household again that had put it out. @returns false when it had not */
export async function letIn(sql: Sql, id: string, householdId: number): Promise<boolean> {
  const { affectedRows } = await sql.run(
    `DELETE FROM device_out WHERE device_id = :id AND household_id = :householdId`,
    {
      id,
      householdId,
    },
  );
  return affectedRows > 0;
}

/** Puts every device of a member out but one. */
export async function dropOtherDevices(sql: Sql, memberId: string, but: string): Promise<void> {
  await sql.run(`DELETE FROM device WHERE member_id = :memberId AND id <> :but`, { memberId, but });
}
