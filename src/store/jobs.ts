import type { Job } from '@/core/model/setting';
import type { Sql } from './database';

interface JobRow extends Pick<Job, 'id' | 'kind' | 'name'> {
  every_days: number;
  last_on: string | null;
  due_on: string | null;
  frost_mm: number | null;
  retired: number;
}

/** Rounds and upkeep of a household (EXPLAIN: ref over job_of_household; few rows would tempt the planner to a scan). */
export async function readJobs(sql: Sql, householdId: number): Promise<Job[]> {
  const rows = await sql.rows<JobRow>(
    `SELECT id, kind, name, every_days, last_on, due_on, frost_mm, retired
       FROM job FORCE INDEX (job_of_household)
      WHERE household_id = :householdId
      ORDER BY name`,
    { householdId },
  );
  return rows.map(({ every_days, last_on, due_on, frost_mm, retired, ...row }) => ({
    ...row,
    everyDays: every_days,
    lastOn: last_on,
    dueOn: due_on,
    frostMm: frost_mm,
    retired: Boolean(retired),
  }));
}

/** Adds or renews one. */
export async function putJob(sql: Sql, householdId: number, job: Job): Promise<void> {
  await sql.run(
    `INSERT INTO job (id, household_id, kind, name, every_days, last_on, due_on, frost_mm, retired)
     VALUES (:id, :householdId, :kind, :name, :everyDays, :lastOn, :dueOn, :frostMm, :retired)
         ON DUPLICATE KEY
     UPDATE name = VALUES(name), every_days = VALUES(every_days), last_on = VALUES(last_on), due_on = VALUES(due_on),
            frost_mm = VALUES(frost_mm), retired = VALUES(retired)`,
    { householdId, ...job },
  );
}
