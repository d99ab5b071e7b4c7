import { putGuestKey } from '@/store/householdKeys';
import Joi from 'joi';
import { type Role, ROLE_WORDS, ROLES } from '@/core/model/role';
import { type Sql, sql, transaction } from '@/store/database';
import { dropDevice, readDevices, shutOut } from '@/store/devices';
import { lockHousehold } from '@/store/households';
import {
  addInvitation,
  countInvitations,
  dropInvitations,
  dropMembership,
  lockMemberships,
  type Membership,
  putMembership,
} from '@/store/members';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { uuid } from '../door/schemas/words';
import { validate } from '../door/validate';
import { ourHousehold } from '../household/household';
import { publicUrl } from '../papers/publicUrl';
import { asksForKeys } from './asksForKeys';
import { codePicture } from './codePicture';
import { mustProve } from './prove';
import { logHere, logSecurity } from './securityLog';
import { invitationEnds } from './join';
import { digestOf, newCode, newGuestKey, plainCode } from './secrets';
import { mustBe, whoAsks } from './whoAsks';

const MOST_INVITATIONS = 20;

/** Who belongs to a household, and by which devices. */
export interface MembersView {
  /** `false`: this server asks nobody anything. */
  asks: boolean;
  household: string;
  me: {
    id: string;
    name: string;
    role: Role;
    device: string;
    has_password: boolean;
    has_second_factor: boolean;
  } | null;
  members: {
    id: string;
    name: string;
    role: Role;
    has_calendar: boolean;
    devices: { id: string; name: string; seen_at: string; here: boolean }[];
  }[];
  /** Invitations that nobody used yet. */
  open: number;
}

/** The members of this household; a cook sees everybody's devices, anybody else her own. */
export async function readMembers(): Promise<MembersView> {
  const [household, visitor] = [await ourHousehold(), await whoAsks()];
  const [members, devices, open] = await Promise.all([
    transaction((db) => lockMemberships(db, household.id)),
    readDevices(sql(), household.id, now()),
    countInvitations(sql(), household.id, now()),
  ]);
  const me = visitor.member;
  const mine = members.find(({ member }) => member === me?.member);
  return {
    asks: asksForKeys(),
    household: household.name,
    me: me && {
      id: me.member,
      name: me.name,
      role: visitor.role,
      device: me.device,
      has_password: mine?.hasPassword ?? false,
      has_second_factor: mine?.hasSecondFactor ?? false,
    },
    members: members.map(({ member, name, role, hasCalendar }) => ({
      id: member,
      name,
      role,
      has_calendar: hasCalendar && (visitor.role === 'cook' || member === me?.member),
      devices: devices
        .filter((one) => one.member === member && (visitor.role === 'cook' || member === me?.member))
        .map(({ id, name: called, seenAt }) => ({
          id,
          name: called,
          seen_at: seenAt,
          here: id === me?.device,
        })),
    })),
    open: visitor.role === 'cook' ? open : 0,
  };
}

const role = Joi.string()
  .valid(...ROLES)
  .required();

export const inviteSchema = Joi.object({ role });

/** An invitation as it is shown to whoever is to come. */
export interface InvitationView {
  code: string;
  /** The code stands behind the #: it is never sent, nor written into anybody's log. */
  address: string;
  /** The address as a picture to scan: rows of 0 and 1. */
  modules: string[];
  ends_at: string;
}

/** Invites somebody, once, for a day. @throws Problem 400, 403 or 422 */
export async function invite(body: unknown): Promise<InvitationView> {
  const told = validate<{ role: Role }>(inviteSchema, body);
  const visitor = await mustBe('cook');
  const household = await ourHousehold();
  const code = newCode();
  const at = now();
  await transaction(async (db) => {
    // One after the other: two at once would both find room for one.
    await lockHousehold(db, household.id);
    if ((await countInvitations(db, household.id, at)) >= MOST_INVITATIONS)
      throw new Problem(422, 'refused', `${MOST_INVITATIONS} invitations are open. Take them back first.`);
    await addInvitation(
      db,
      {
        digest: digestOf(plainCode(code)),
        householdId: household.id,
        role: told.role,
        madeBy: visitor.member?.member ?? null,
        endsAt: invitationEnds(at),
      },
      at,
    );
  });
  const address = `${publicUrl()}/join#${code}`;
  await logHere(
    'code',
    `${visitor.member?.name ?? 'Somebody'} made an invitation: ${ROLE_WORDS[told.role].name}.`,
  );
  return { code, address, modules: codePicture(address), ends_at: invitationEnds(at) };
}

export const nothingSchema = Joi.object({});

/** Takes back what nobody used yet. @throws Problem 403 */
export async function takeInvitationsBack(body: unknown): Promise<{ says: string }> {
  validate(nothingSchema, body);
  await mustBe('cook');
  await dropInvitations(sql(), (await ourHousehold()).id);
  await logHere('code', 'Open invitations were taken back.');
  return { says: 'Open invitations are taken back.' };
}

/** A member of this household under a lock on all of them. @throws Problem 404 */
async function memberOf(db: Sql, householdId: number, id: string): Promise<[Membership, Membership[]]> {
  const all = await lockMemberships(db, householdId);
  const found = all.find(({ member }) => member === id);
  if (!found) throw new Problem(404, 'not-found', 'There is no such member in this household.');
  return [found, all];
}

/** @throws Problem 422 when nobody else could open everything then */
function refuseLastCook(found: Membership, all: readonly Membership[]): void {
  if (found.role === 'cook' && all.filter((one) => one.role === 'cook').length === 1)
    throw new Problem(
      422,
      'refused',
      `${found.name} is the only cook here. Make somebody else a cook first.`,
    );
}

export const roleSchema = Joi.object({ member: uuid.required(), role });

/** Gives a member another role. @throws Problem 400, 403, 404 or 422 */
export async function setRole(body: unknown): Promise<{ says: string }> {
  const told = validate<{ member: string; role: Role }>(roleSchema, body);
  await mustBe('cook');
  await mustProve();
  const household = await ourHousehold();
  const answer = await transaction(async (db) => {
    const [found, all] = await memberOf(db, household.id, told.member);
    if (told.role !== 'cook') refuseLastCook(found, all);
    await putMembership(db, household.id, told.member, told.role);
    return {
      says: `${found.name} is ${told.role === 'household' ? 'of the household' : `a ${told.role}`} now.`,
    };
  });
  await logHere('role', answer.says);
  return answer;
}

export const memberSchema = Joi.object({ member: uuid.required() });

/** Ends a membership: a cook anybody's, anybody her own. @throws Problem 400, 403, 404 or 422 */
export async function endMembership(body: unknown): Promise<{ says: string }> {
  const told = validate<{ member: string }>(memberSchema, body);
  const visitor = await whoAsks();
  if (visitor.member?.member !== told.member) await mustBe('cook');
  await mustProve();
  const household = await ourHousehold();
  const answer = await transaction(async (db) => {
    const [found, all] = await memberOf(db, household.id, told.member);
    refuseLastCook(found, all);
    await dropMembership(db, household.id, told.member);
    return { says: `${found.name} does not belong to ${household.name} any more.` };
  });
  await logSecurity('member', answer.says, [household.id], visitor.member?.name ?? null);
  return answer;
}

export const deviceSchema = Joi.object({ device: uuid.required() });

/** Puts a device out: a cook anybody's, of this household alone, anybody her own, of all of hers. @throws Problem 400, 401 or 404 */
export async function putOut(body: unknown): Promise<{ says: string }> {
  const told = validate<{ device: string }>(deviceSchema, body);
  const visitor = await whoAsks();
  const household = await ourHousehold();
  const found = (await readDevices(sql(), household.id, now())).find(({ id }) => id === told.device);
  if (!found || (visitor.role !== 'cook' && found.member !== visitor.member?.member))
    throw new Problem(404, 'not-found', 'There is no such device in this household.');
  if (found.member === visitor.member?.member) await dropDevice(sql(), told.device);
  else await transaction((db) => shutOut(db, told.device, household.id));
  await logHere('device', `${found.name} was signed out.`);
  return { says: `${found.name} is signed out.` };
}

/** Shuts every code on labels for who is no member; labels printed from now on have the new key. @throws Problem 403 */
export async function renewGuestKey(body: unknown): Promise<{ says: string }> {
  validate(nothingSchema, body);
  await mustBe('cook');
  await putGuestKey(sql(), (await ourHousehold()).id, newGuestKey());
  await logHere('code', 'Labels have a new key.');
  return {
    says: 'Labels printed so far open for members only. Print new ones so that guests can read them.',
  };
}
