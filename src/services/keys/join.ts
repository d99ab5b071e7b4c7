import Joi from 'joi';
import { v4 as newUuid } from 'uuid';
import { isDuplicate, sql, transaction } from '@/store/database';
import { readHouseholdIds } from '@/store/households';
import { letIn } from '@/store/devices';
import {
  addInvitation,
  addMember,
  hasMembers,
  putMembership,
  readRole,
  takeInvitation,
} from '@/store/members';
import { type Role, ROLE_WORDS } from '@/core/model/role';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { validate } from '../door/validate';
import { countAttempt } from './attempts';
import { hashPassword } from './passwords';
import { digestOf, newCode, plainCode } from './secrets';
import { keepDevice, memberName, password, refuseWeak } from './signIn';
import { logSecurity } from './securityLog';
import { signedIn } from './whoAsks';

const DAY_MS = 86_400_000;

/** How much a role may; a guest and a reader may different things. */
const RANK: Readonly<Record<Role, number>> = { cook: 3, household: 2, guest: 1, reader: 1 };

/** An invitation counts so long, and once. */
export const invitationEnds = (at: string): string => new Date(Date.parse(at) + DAY_MS).toISOString();

export const joinSchema = Joi.object({
  code: Joi.string().max(40).required().description('of the invitation, or the set-up code'),
  name: memberName.description('what one is called; left out by who is signed in already'),
  password: password.allow('').default('').description('the way back in; may be left empty'),
});

/**
 * Comes in by a code: as somebody new, or, signed in already, into one more household. The code counts once.
 *
 * @returns the token for this device; `null`: it has one already; and the household that is shown now
 * @throws Problem 400, 409, 410, 422 or 429
 */
export async function join(body: unknown): Promise<{ token: string | null; householdId: number | null }> {
  const told = validate<{ code: string; name?: string; password: string }>(joinSchema, body);
  const right = await countAttempt(null);
  const me = await signedIn();
  const name = told.name?.trim() ?? '';
  if (!me && name === '')
    throw new Problem(400, 'invalid', 'What are you called? Any name will do.', {
      fields: [{ path: 'name', message: 'is missing' }],
    });
  if (!me && told.password !== '') refuseWeak(told.password, [name]);
  const secret = !me && told.password !== '' ? await hashPassword(told.password) : null;
  const id = me?.member ?? newUuid();
  try {
    const joined = await transaction(async (db) => {
      const invitation = await takeInvitation(db, digestOf(plainCode(told.code)), now());
      if (!invitation)
        throw new Problem(
          410,
          'no-invitation',
          'That code is not good, or not any more: it counts once, for a day.',
        );
      if (invitation.householdId === null && !me && secret === null)
        throw new Problem(422, 'refused', 'Who sets this kitchen up needs a password.', {
          fields: [{ path: 'password', message: 'is missing' }],
        });
      if (!me) await addMember(db, { id, name, secret, madeAt: now() });
      const ids = invitation.householdId === null ? await readHouseholdIds(db) : [invitation.householdId];
      for (const household of ids) {
        const has = me ? await readRole(db, household, id) : null;
        if (has === null || RANK[invitation.role] > RANK[has])
          await putMembership(db, household, id, invitation.role);
        // Her device may have been put out of it; a code that would only lower her is left for whom it was meant.
        else if (!(me && (await letIn(db, me.device, household))) && invitation.householdId !== null)
          throw new Problem(
            409,
            'member-already',
            `You already belong here as ${ROLE_WORDS[has].name.toLowerCase()}. Keep the code for somebody else.`,
          );
        if (me) await letIn(db, me.device, household);
      }
      const proved = secret !== null;
      return {
        token: me ? null : await keepDevice(db, id, proved),
        householdId: invitation.householdId,
        ids,
      };
    });
    await right();
    const { ids, ...known } = joined;
    await logSecurity('member', `${me?.name ?? name} came in by a code.`, ids, me?.name ?? name);
    return known;
  } catch (error) {
    if (!isDuplicate(error)) throw error;
    throw new Problem(409, 'name-taken', `Somebody here is called “${name}” already. Add another letter.`, {
      fields: [{ path: 'name', message: 'taken' }],
    });
  }
}

/**
 * A new set-up code, told in the terminal: whoever has the machine may come in as a cook of every household.
 *
 * @param always also when there are members, as the way back in when every password is lost
 * @returns `null`: nobody needs one
 */
export async function newSetUpCode(always: boolean): Promise<string | null> {
  if (!always && (await hasMembers(sql()))) return null;
  const code = newCode();
  const at = now();
  const digest = digestOf(plainCode(code));
  await transaction((db) =>
    addInvitation(
      db,
      { digest, householdId: null, role: 'cook', madeBy: null, endsAt: invitationEnds(at) },
      at,
    ),
  );
  return code;
}
