import Joi from 'joi';
import { v4 as newUuid } from 'uuid';
import { type Sql, sql, transaction } from '@/store/database';
import { addDevice, dropDevice, dropOtherDevices, proveDevice } from '@/store/devices';
import { putSecret, readHouseholdsOf, readMemberCalled } from '@/store/members';
import { readSecondFactor } from '@/store/secondFactors';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { plainText, validate } from '../door/validate';
import { callerDevice } from '../household/chosen';
import { countAttempt, countLook } from './attempts';
import { hashPassword, isPassword, MAX_LENGTH, passwordFault, passwordScore } from './passwords';
import { isSecondFactor } from './secondFactor';
import { digestOf, newToken } from './secrets';
import { logSecurity } from './securityLog';
import { signedIn, staysUntil } from './whoAsks';

export const memberName = plainText(40).min(1);
export const password = Joi.string().max(MAX_LENGTH);

export const signInSchema = Joi.object({
  name: memberName.required(),
  password: password.required(),
  code: Joi.string().max(40).allow('').default('').description('of the second factor, or for recovery'),
});

/** Lets a device stay signed in. @param proved the password was given just now @returns the token for its cookie */
export async function keepDevice(db: Sql, member: string, proved: boolean): Promise<string> {
  const token = newToken();
  const at = now();
  await addDevice(db, {
    id: newUuid(),
    member,
    digest: digestOf(token),
    name: await callerDevice(),
    madeAt: at,
    endsAt: staysUntil(at),
    proved,
  });
  return token;
}

/** Signs in by name and password. @throws Problem 400, 401 or 429 */
export async function signIn(body: unknown): Promise<{ token: string; name: string }> {
  const told = validate<{ name: string; password: string; code: string }>(signInSchema, body);
  const right = await countAttempt(told.name);
  const member = await readMemberCalled(sql(), told.name);
  const refused = async (says: string): Promise<void> => {
    if (member) await logSecurity('refused', says, await readHouseholdsOf(sql(), member.id), null);
  };
  if (!(await isPassword(member?.secret ?? null, told.password)) || !member) {
    await refused(`A wrong password for ${member?.name}.`);
    throw new Problem(
      401,
      'wrong',
      'This name and password don’t belong together. Try again, or use a code.',
    );
  }
  const { secret } = await readSecondFactor(sql(), member.id);
  // Asked for only behind the right password; the attempt counts all the same.
  if (secret !== null && told.code === '')
    throw new Problem(401, 'second-factor', 'Type the six digits that your authenticator shows.', {
      fields: [{ path: 'code', message: 'is missing' }],
    });
  if (!(await isSecondFactor(member.id, told.code))) {
    await refused(`A wrong second factor for ${member.name}.`);
    throw new Problem(401, 'wrong-code', 'That code is wrong, or was used already. Wait for the next one.', {
      fields: [{ path: 'code', message: 'is not it' }],
    });
  }
  await right();
  const token = await keepDevice(sql(), member.id, true);
  await logSecurity(
    'sign-in',
    `${member.name} signed in on ${await callerDevice()}.`,
    await readHouseholdsOf(sql(), member.id),
    member.name,
  );
  return { token, name: member.name };
}

export const signOutSchema = Joi.object({});

/** Signs this device out. */
export async function signOut(body: unknown): Promise<Record<string, never>> {
  validate(signOutSchema, body);
  const here = await signedIn();
  if (here) await dropDevice(sql(), here.device);
  return {};
}

export const passwordSchema = Joi.object({
  password: password.required().description('the new one'),
  before: password.allow('').default('').description('the one before, if there was one'),
});

/** Sets one's own password; every other device of hers is put out. @throws Problem 400, 401, 422 or 429 */
export async function setPassword(body: unknown): Promise<{ says: string }> {
  const told = validate<{ password: string; before: string }>(passwordSchema, body);
  const me = await signedIn();
  if (!me) throw new Problem(401, 'sign-in', 'Sign in first.');
  const right = await countAttempt(me.name);
  const member = await readMemberCalled(sql(), me.name);
  if (!member) throw new Problem(401, 'sign-in', 'Sign in first.');
  if (member.secret !== null && !(await isPassword(member.secret, told.before)))
    throw new Problem(401, 'wrong', 'That is not your present password.', {
      fields: [{ path: 'before', message: 'is not it' }],
    });
  refuseWeak(told.password, [me.name]);
  const secret = await hashPassword(told.password);
  await right();
  await transaction(async (db) => {
    await putSecret(db, me.member, secret);
    await dropOtherDevices(db, me.member, me.device);
    await proveDevice(db, me.device, now());
  });
  await logSecurity(
    'password',
    `${me.name} set a new password; her other devices were signed out.`,
    me.memberships.map(({ householdId }) => householdId),
    me.name,
  );
  return { says: 'Your password is set. Your other devices are signed out.' };
}

export const strengthSchema = Joi.object({
  password: password.required(),
  name: plainText(40).allow('').default(''),
});

/** How hard a password would be to guess, 0 to 4, and what is wrong with it; nothing of it is kept. @throws Problem 400, 429 */
export async function judgePassword(body: unknown): Promise<{ score: number; says: string }> {
  const told = validate<{ password: string; name: string }>(strengthSchema, body);
  await countLook('strength');
  const names = told.name === '' ? [] : [told.name];
  return { score: passwordScore(told.password, names), says: passwordFault(told.password, names) ?? '' };
}

/** @throws Problem 422 for a password that is guessed too soon */
export function refuseWeak(wanted: string, names: readonly string[]): void {
  const fault = passwordFault(wanted, names);
  if (fault !== null)
    throw new Problem(422, 'refused', fault, { fields: [{ path: 'password', message: 'too weak' }] });
}
