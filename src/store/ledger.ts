import type { LedgerEvent, Package } from '@/core/model/package';
import type { Setting, SettingEvent } from '@/core/model/setting';
import type { PastCommand } from '@/core/model/decision';
import { fromJson, fromSqlInstant, type Sql, toSqlInstant } from './database';

/** Appends what a command did, in its order. */
export async function appendEvents(
  sql: Sql,
  householdId: number,
  commandId: string,
  at: string,
  { events, settings }: { events: readonly LedgerEvent[]; settings: readonly SettingEvent[] },
): Promise<void> {
  for (const [place, { before, after, says, type }] of settings.entries()) {
    await sql.run(
      `INSERT INTO ledger_event (household_id, command_id, seq, type, setting, subject, at, says, before_image,
                                 after_image)
       VALUES (:householdId, :commandId, :seq, :type, :setting, :subject, :at, :says, :before, :after)`,
      {
        householdId,
        commandId,
        seq: events.length + place,
        type,
        setting: after.kind,
        subject: after.subject,
        at: toSqlInstant(at),
        says: says.slice(0, 400),
        before: before && JSON.stringify(before),
        after: JSON.stringify(after),
      },
    );
  }
  for (const [seq, event] of events.entries()) {
    await sql.run(
      `INSERT INTO ledger_event (household_id, command_id, seq, type, package_id, zone_id, at, says, before_image, after_image)
       VALUES (:householdId, :commandId, :seq, :type, :packageId, :zoneId, :at, :says, :before, :after)`,
      {
        householdId,
        commandId,
        seq,
        type: event.type,
        packageId: event.after.id,
        zoneId: event.before?.zoneId ?? null,
        at: toSqlInstant(at),
        says: event.says.slice(0, 400),
        before: event.before && JSON.stringify(event.before),
        after: JSON.stringify(event.after),
      },
    );
  }
}

/** A command with its events, for undoing it; locked until the transaction ends. */
export async function readPastCommand(
  sql: Sql,
  householdId: number,
  id: string,
): Promise<PastCommand | null> {
  const [row] = await sql.rows<{ says: string; at: string; undone_by: string | null }>(
    `SELECT says, at, undone_by
       FROM command
      WHERE household_id = :householdId
        AND id = :id
        FOR UPDATE`,
    { householdId, id },
  );
  if (!row) return null;
  const events = await sql.rows<{
    setting: string | null;
    type: string;
    before_image: unknown;
    after_image: unknown;
  }>(
    `SELECT setting, type, before_image, after_image
       FROM ledger_event
      WHERE household_id = :householdId
        AND command_id = :id
      ORDER BY seq`,
    { householdId, id },
  );
  return {
    says: row.says,
    at: fromSqlInstant(row.at),
    undone: row.undone_by !== null,
    events: events
      .filter(({ setting }) => setting === null)
      .map(({ before_image, after_image }) => ({
        before: before_image === null ? null : fromJson<Package>(before_image),
        after: fromJson<Package>(after_image),
      })),
    settings: events
      .filter(({ setting }) => setting !== null)
      .map(({ type, before_image, after_image }) => ({
        type: type as SettingEvent['type'],
        before: before_image === null ? null : fromJson<Setting>(before_image),
        after: fromJson<Setting>(after_image),
        says: row.says,
      })),
  };
}

/** What was said, who told it, or a zone that something lay in or went to. */
const TOLD = `AND (command.says LIKE :like
              OR command.told_by = :words
              OR EXISTS (SELECT 1
                           FROM ledger_event AS event
                           JOIN zone ON zone.id IN (event.zone_id, JSON_VALUE(event.after_image, '$.zoneId'))
                          WHERE event.household_id = command.household_id
                            AND event.command_id = command.id
                            AND zone.household_id = :householdId
                            AND zone.name LIKE :like)
              OR EXISTS (SELECT 1
                           FROM ledger_event AS event
                           JOIN package ON package.id = event.package_id
                          WHERE event.household_id = command.household_id
                            AND event.command_id = command.id
                            AND package.code = :words))`;

/** One command of the ledger as it is shown. */
export interface LedgerEntry {
  id: string;
  type: string;
  at: string;
  recordedAt: string;
  says: string;
  undone: boolean;
  undoes: string | null;
  /** What the door noticed, such as a clock set back. */
  note: string;
  codes: string[];
  toldBy: string | null;
}

/**
 * The ledger newest first, one page after a key (EXPLAIN: command_of_household backwards).
 *
 * @param unlisted kinds of command that are not shown, at least one
 */
export async function readLedger(
  sql: Sql,
  householdId: number,
  before: { recordedAt: string; id: string } | null,
  limit: number,
  unlisted: readonly string[],
  only: { words: string; from: string | null; until: string | null } = { words: '', from: null, until: null },
): Promise<LedgerEntry[]> {
  const rows = await sql.rows<{
    id: string;
    type: string;
    at: string;
    recorded_at: string;
    says: string;
    undone_by: string | null;
    undoes: string | null;
    note: string;
    codes: string | null;
    told_by: string | null;
  }>(
    `SELECT command.id, command.type, command.at, command.recorded_at, command.says, command.undone_by, command.undoes, command.note, command.told_by,
            (SELECT GROUP_CONCAT(package.code ORDER BY event.seq SEPARATOR ' ')
               FROM ledger_event AS event
               JOIN package ON package.id = event.package_id
              WHERE event.household_id = command.household_id
                            AND event.command_id = command.id) AS codes
       FROM command
      WHERE command.household_id = :householdId
        AND command.type NOT IN (:unlisted)
        ${before ? 'AND (command.recorded_at, command.id) < (:beforeAt, :beforeId)' : ''}
        ${only.words === '' ? '' : TOLD}
        ${only.from === null ? '' : 'AND command.at >= :from AND command.at < :until'}
      ORDER BY command.recorded_at DESC, command.id DESC
      LIMIT :limit`,
    {
      householdId,
      limit,
      unlisted,
      words: only.words,
      like: `%${only.words.replace(/[\\%_]/g, '\\$&')}%`,
      from: only.from && toSqlInstant(only.from),
      until: only.until && toSqlInstant(only.until),
      beforeAt: before && toSqlInstant(before.recordedAt),
      beforeId: before?.id,
    },
  );
  return rows.map((row) => ({
    id: row.id,
    type: row.type,
    at: fromSqlInstant(row.at),
    recordedAt: fromSqlInstant(row.recorded_at),
    says: row.says,
    undone: row.undone_by !== null,
    undoes: row.undoes,
    note: row.note,
    toldBy: row.told_by,
    codes: row.codes === null ? [] : row.codes.split(' '),
  }));
}
