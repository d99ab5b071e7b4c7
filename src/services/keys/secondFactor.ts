import Joi from 'joi';
import { Secret, TOTP } from 'otpauth';
import { sql, transaction } from '@/store/database';
import { putSecondFactor, readSecondFactor, takeRecoveryCode, takeStep } from '@/store/secondFactors';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { validate } from '../door/validate';
import { codePicture } from './codePicture';
import { mustProve } from './prove';
import { digestOf, newCode, plainCode } from './secrets';
import { logSecurity } from './securityLog';
import { signedIn } from './whoAsks';

const PERIOD_S = 30;
/** A clock may be off by so many periods. */
const WINDOW = 1;
const RECOVERY_CODES = 8;

/** One-time passwords as every authenticator makes them: RFC 6238, SHA-1, six digits, 30 s. */
const totpOf = (secret: string, name: string): TOTP =>
  new TOTP({ issuer: 'Orderly Frost', label: name, secret: Secret.fromBase32(secret), period: PERIOD_S });

/** The period whose code it is; `null`: it is none of about now. */
function stepOf(secret: string, token: string): number | null {
  const timestamp = Date.parse(now());
  const delta = totpOf(secret, '').validate({ token, timestamp, window: WINDOW });
  return delta === null ? null : Math.floor(timestamp / 1000 / PERIOD_S) + delta;
}

/** A recovery code as it is kept: salted by whose it is. */
const recoveryDigest = (memberId: string, code: string): string => digestOf(`${memberId} ${plainCode(code)}`);

/** Whether a code, of the authenticator or for recovery, is a member's; each counts once. True where she has no second factor. */
export async function isSecondFactor(memberId: string, code: string): Promise<boolean> {
  const { secret } = await readSecondFactor(sql(), memberId);
  if (secret === null) return true;
  const digits = code.replaceAll(/\s/g, '');
  if (/^\d{6}$/.test(digits)) {
    const step = stepOf(secret, digits);
    return step !== null && takeStep(sql(), memberId, step);
  }
  return takeRecoveryCode(sql(), memberId, recoveryDigest(memberId, code));
}

const me = async () => {
  const found = await signedIn();
  if (!found) throw new Problem(401, 'sign-in', 'Sign in first.');
  return found;
};

export const factorBeginSchema = Joi.object({});

/** A new secret to scan; it counts once its first code was told. @throws Problem 400, 401, 403 */
export async function beginSecondFactor(
  body: unknown,
): Promise<{ secret: string; address: string; modules: string[] }> {
  validate(factorBeginSchema, body);
  const { name } = await me();
  await mustProve({ settingUp: true });
  const secret = new Secret({ size: 20 }).base32;
  const address = totpOf(secret, name).toString();
  return { secret, address, modules: codePicture(address) };
}

export const factorSetSchema = Joi.object({
  secret: Joi.string()
    .pattern(/^[A-Z2-7]{32}$/)
    .required(),
  code: Joi.string()
    .pattern(/^\d{6}$/)
    .required()
    .description('the first that the authenticator shows'),
});

/** Sets the second factor. @returns codes for the day the phone is lost, shown once @throws Problem 400, 401, 403, 422 */
export async function setSecondFactor(body: unknown): Promise<{ codes: string[] }> {
  const { secret, code } = validate<{ secret: string; code: string }>(factorSetSchema, body);
  const { member, name, memberships } = await me();
  await mustProve({ settingUp: true });
  const step = stepOf(secret, code);
  if (step === null)
    throw new Problem(
      422,
      'refused',
      'That isn’t the code shown now. Check the phone’s clock and type the next one.',
      {
        fields: [{ path: 'code', message: 'is not it' }],
      },
    );
  const codes = Array.from({ length: RECOVERY_CODES }, newCode);
  await transaction((db) =>
    putSecondFactor(db, member, { secret, step, codes: codes.map((one) => recoveryDigest(member, one)) }),
  );
  await logSecurity(
    'password',
    `${name} set up a second factor.`,
    memberships.map(({ householdId }) => householdId),
    name,
  );
  return { codes };
}

export const factorEndSchema = Joi.object({});

/** Ends the second factor. @throws Problem 400, 401, 403 */
export async function endSecondFactor(body: unknown): Promise<{ says: string }> {
  validate(factorEndSchema, body);
  const { member, name, memberships } = await me();
  await mustProve();
  await transaction((db) => putSecondFactor(db, member, { secret: null, step: 0, codes: [] }));
  await logSecurity(
    'password',
    `${name} ended the second factor.`,
    memberships.map(({ householdId }) => householdId),
    name,
  );
  return { says: 'You sign in by password alone now.' };
}
