import { cache } from 'react';
import type { Role } from '@/core/model/role';
import { sql } from '@/store/database';
import { readSignedIn, seeDevice, type SignedIn } from '@/store/devices';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { cookieOf, toldHousehold } from '../household/chosen';
import { asksForKeys, isSecure } from './asksForKeys';
import { digestOf } from './secrets';

/** A device stays signed in for so long after it was last seen, days: `SESSION_DAYS`, 1 to 400. */
export const staysDays = (): number =>
  Math.min(400, Math.max(1, Math.floor(Number(process.env.SESSION_DAYS ?? 30)) || 30));
const SEEN_EVERY_MS = 3_600_000;
const DAY_MS = 86_400_000;

/** The cookie with a device's token; under TLS no other host, and no page without it, can set it. */
export const keyCookie = (): string => `${isSecure() ? '__Host-' : ''}orderly-frost-key`;

/** Until when a device that is seen now stays signed in. */
export const staysUntil = (at: string): string =>
  new Date(Date.parse(at) + staysDays() * DAY_MS).toISOString();

/** Who asks in which household; role `cook` without a member: one person at one machine, who is asked nothing. */
export interface Visitor {
  member: SignedIn | null;
  role: Role;
  /** `null`: whatever was chosen, or the first. */
  householdId: number | null;
}

/** Whose device this is; `null`: nobody's. */
export const signedIn = cache(async (): Promise<SignedIn | null> => {
  const token = await cookieOf(keyCookie());
  if (!token) return null;
  const at = now();
  const found = await readSignedIn(sql(), digestOf(token), at);
  if (found && Date.parse(at) - Date.parse(found.seenAt) > SEEN_EVERY_MS)
    await seeDevice(sql(), found.device, { seenAt: at, endsAt: staysUntil(at) });
  return found;
});

/**
 * Who asks, and in which of her households: the one the page shows or the device chose, else the first of hers.
 *
 * @throws Problem 401 when nobody is signed in, 404 for a household that is not hers: it may not even be known to be there
 */
export const whoAsks = cache(async (): Promise<Visitor> => {
  const told = await toldHousehold();
  if (!asksForKeys() || told.inside) return { member: null, role: 'cook', householdId: told.id };
  const member = await signedIn();
  if (!member) throw new Problem(401, 'sign-in', 'Sign in first: this kitchen asks for a key.');
  const wanted = member.memberships.find(({ householdId }) => householdId === told.id);
  if (!wanted && told.firmly)
    throw new Problem(404, 'no-household', 'This household is not there any more. Load the page again.');
  const [first] = member.memberships;
  const one = wanted ?? first;
  if (!one) throw new Problem(404, 'no-household', 'You belong to no household here. Ask a cook for a code.');
  return { member, ...one };
});

/** Refuses whoever may not. @throws Problem 401, 403 or 404 */
export async function mustBe(...roles: readonly Role[]): Promise<Visitor> {
  const visitor = await whoAsks();
  if (roles.includes(visitor.role)) return visitor;
  throw new Problem(403, 'not-yours', 'Your key does not open that. Ask a cook of this kitchen.');
}
