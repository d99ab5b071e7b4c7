import { fromJson, fromSqlInstant, type Sql, toSqlInstant } from './database';

export type RunState = 'running' | 'done' | 'stopped' | 'failed' | 'undone';

/** Something that comes in, and how far it is. */
export interface ImportRun {
  id: string;
  what: string;
  state: RunState;
  done: number;
  total: number;
  says: string;
  stopAsked: boolean;
  madeHousehold: number | null;
  commands: string[];
  beatAt: string;
}

interface RunRow {
  id: string;
  what: string;
  state: RunState;
  done: number;
  total: number;
  says: string;
  stop_asked: number;
  made_household: number | null;
  commands: unknown;
  beat_at: string;
}

export async function addRun(
  sql: Sql,
  householdId: number,
  run: { id: string; what: string; total: number; at: string },
): Promise<void> {
  await sql.run(
    `INSERT INTO import_run (id, household_id, what, state, total, begun_at, beat_at)
     VALUES (:id, :householdId, :what, 'running', :total, :at, :at)`,
    { ...run, householdId, at: toSqlInstant(run.at) },
  );
}

/** A run of this household; `null`: there is none of that id here. */
export async function readRun(sql: Sql, householdId: number, id: string): Promise<ImportRun | null> {
  const [row] = await sql.rows<RunRow>(
    `SELECT id, what, state, done, total, says, stop_asked, made_household, commands, beat_at
       FROM import_run
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id },
  );
  if (!row) return null;
  const { stop_asked, made_household: madeHousehold, commands, beat_at, ...run } = row;
  return {
    ...run,
    stopAsked: stop_asked === 1,
    madeHousehold,
    commands: commands === null ? [] : fromJson<string[]>(commands),
    beatAt: fromSqlInstant(beat_at),
  };
}

/** Says how far a run is. @returns whether it was asked to stop */
export async function beatRun(sql: Sql, id: string, done: number, at: string): Promise<boolean> {
  await sql.run(`UPDATE import_run SET done = :done, beat_at = :at WHERE id = :id`, {
    id,
    done,
    at: toSqlInstant(at),
  });
  const [row] = await sql.rows<{ stop_asked: number }>(`SELECT stop_asked FROM import_run WHERE id = :id`, {
    id,
  });
  return row?.stop_asked === 1;
}

/** Ends a run; within the transaction that kept what came in, or after none did. */
export async function endRun(
  sql: Sql,
  id: string,
  run: { state: RunState; says: string; madeHousehold?: number | null; commands?: readonly string[] },
): Promise<void> {
  await sql.run(
    `UPDATE import_run
        SET state = :state, says = :says, done = IF(:state = 'done', total, done),
            made_household = COALESCE(:madeHousehold, made_household), commands = COALESCE(:commands, commands)
      WHERE id = :id`,
    {
      id,
      state: run.state,
      says: run.says.slice(0, 400),
      madeHousehold: run.madeHousehold ?? null,
      commands: run.commands ? JSON.stringify(run.commands) : null,
    },
  );
}

export async function askToStop(sql: Sql, householdId: number, id: string): Promise<void> {
  await sql.run(`UPDATE import_run SET stop_asked = TRUE WHERE household_id = :householdId AND id = :id`, {
    householdId,
    id,
  });
}
