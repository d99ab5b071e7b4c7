import Joi from 'joi';
import { sql } from '@/store/database';
import { proveDevice } from '@/store/devices';
import { readMemberCalled } from '@/store/members';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { validate } from '../door/validate';
import { asksForKeys } from './asksForKeys';
import { countAttempt } from './attempts';
import { isPassword, MAX_LENGTH } from './passwords';
import { readSecondFactor } from '@/store/secondFactors';
import { logSecurity } from './securityLog';
import { signedIn } from './whoAsks';

/** So long a password that was given counts for what cannot be taken back, ms. */
const PROVED_MS = 600_000;

/**
 * Asks for what cannot be taken back (members, roles, a whole household) that the password was given within ten minutes: a device that
 * was left open is not enough.
 *
 * @param settingUp it is for the second factor itself
 * @throws Problem 401, or 403 `prove`, `no-second-factor`; `no-password` when she has none yet
 */
export async function mustProve({ settingUp = false } = {}): Promise<void> {
  if (!asksForKeys()) return;
  const me = await signedIn();
  if (!me) throw new Problem(401, 'sign-in', 'Sign in first.');
  // A house that is reached from everywhere may ask its cooks for a second factor before they do what only they may.
  if (
    !settingUp &&
    process.env.SECOND_FACTOR === 'cooks' &&
    (await readSecondFactor(sql(), me.member)).secret === null
  )
    throw new Problem(
      403,
      'no-second-factor',
      'This kitchen asks its cooks for a second factor. Set one up under People and devices first.',
    );
  if (me.provedAt !== null && Date.parse(now()) - Date.parse(me.provedAt) < PROVED_MS) return;
  const member = await readMemberCalled(sql(), me.name);
  if (member?.secret == null)
    throw new Problem(403, 'no-password', 'Set a password first, under “Your key”. Then try again.');
  throw new Problem(403, 'prove', 'Type your password again: it has been more than ten minutes.');
}

export const proveSchema = Joi.object({ password: Joi.string().max(MAX_LENGTH).required() });

/** Takes the password again on a device that is signed in. @throws Problem 400, 401 or 429 */
export async function prove(body: unknown): Promise<{ says: string }> {
  const told = validate<{ password: string }>(proveSchema, body);
  const me = await signedIn();
  if (!me) throw new Problem(401, 'sign-in', 'Sign in first.');
  const right = await countAttempt(me.name);
  const member = await readMemberCalled(sql(), me.name);
  if (!member || !(await isPassword(member.secret, told.password))) {
    await logSecurity(
      'refused',
      `A wrong password for ${me.name}, on a device that is signed in.`,
      me.memberships.map(({ householdId }) => householdId),
      null,
    );
    throw new Problem(401, 'wrong', 'That isn’t your password. Try again.', {
      fields: [{ path: 'password', message: 'is not it' }],
    });
  }
  await right();
  await proveDevice(sql(), me.device, now());
  return { says: 'Thank you. Ten minutes from now we’ll ask again.' };
}
