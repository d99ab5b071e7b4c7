import type { Sql } from './database';

/** A member's second factor: its secret, and the last period whose code was used. */
export interface SecondFactor {
  secret: string | null;
  step: number;
}

export async function readSecondFactor(sql: Sql, memberId: string): Promise<SecondFactor> {
  const [row] = await sql.rows<{ totp_secret: string | null; totp_step: number | null }>(
    `SELECT totp_secret, totp_step FROM member WHERE id = :memberId`,
    { memberId },
  );
  return { secret: row?.totp_secret ?? null, step: Number(row?.totp_step ?? 0) };
}

/** Sets a second factor with its recovery codes, or ends it. */
export async function putSecondFactor(
  sql: Sql,
  memberId: string,
  { secret, step, codes }: { secret: string | null; step: number; codes: readonly string[] },
): Promise<void> {
  await sql.run(`UPDATE member SET totp_secret = :secret, totp_step = :step WHERE id = :memberId`, {
    memberId,
    secret,
    step,
  });
  await sql.run(`DELETE FROM recovery_code WHERE member_id = :memberId`, { memberId });
  for (const digest of codes)
    await sql.run(`INSERT INTO recovery_code (member_id, code_digest) VALUES (:memberId, :digest)`, {
      memberId,
      digest,
    });
}

/** Uses the code of a period, once. @returns false when it, or a later one, was used already */
export async function takeStep(sql: Sql, memberId: string, step: number): Promise<boolean> {
  const { affectedRows } = await sql.run(
    `UPDATE member SET totp_step = :step WHERE id = :memberId AND COALESCE(totp_step, 0) < :step`,
    { memberId, step },
  );
  return affectedRows > 0;
}

/** Uses a recovery code, once. @returns false when there is none such */
export async function takeRecoveryCode(sql: Sql, memberId: string, digest: string): Promise<boolean> {
  const { affectedRows } = await sql.run(
    `DELETE FROM recovery_code WHERE member_id = :memberId AND code_digest = :digest`,
    { memberId, digest },
  );
  return affectedRows > 0;
}
