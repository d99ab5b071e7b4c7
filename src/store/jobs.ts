import type { Job } from '@/core/ledger/setting';
import type { Sql } from './database';

interface JobRow extends Omit<Job, 'everyDays' | 'lastOn'> {
  every_days: number;
  last_on: string | null;
}

/** Rounds and upkeep of a household (EXPLAIN: ref over job_of_household; few rows would tempt the planner to a scan). */
export async function readJobs(sql: Sql, householdId: number): Promise<Job[]> {
  const rows = await sql.rows<JobRow>(
    `SELECT id, kind, name, every_days, last_on
       FROM job FORCE INDEX (job_of_household)
      WHERE household_id = :householdId
      ORDER BY name`,
    { householdId },
  );
  return rows.map(({ every_days, last_on, ...row }) => ({ ...row, everyDays: every_days, lastOn: last_on }));
}

/** Adds or renews one. */
export async function putJob(sql: Sql, householdId: number, job: Job): Promise<void> {
  await sql.run(
    `INSERT INTO job (id, household_id, kind, name, every_days, last_on)
     VALUES (:id, :householdId, :kind, :name, :everyDays, :lastOn)
         ON DUPLICATE KEY
     UPDATE name = VALUES(name), every_days = VALUES(every_days), last_on = VALUES(last_on)`,
    { householdId, ...job },
  );
}
