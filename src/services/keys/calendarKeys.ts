import Joi from 'joi';
import { sql } from '@/store/database';
import { putMemberFeed, readHouseholdByFeed, readMemberByFeed, readMemberFeed } from '@/store/householdKeys';
import { newFeedKey } from '../door/loadWorld';
import { Problem } from '../door/problem';
import { uuid } from '../door/schemas/words';
import { validate } from '../door/validate';
import { ourHousehold } from '../household/household';
import { asksForKeys } from './asksForKeys';
import { logHere } from './securityLog';
import { mustBe, whoAsks } from './whoAsks';

/** The household whose calendar has this key: a member’s own, or, where nobody is asked, the household’s. `null`: none. */
export const householdOfCalendar = (key: string): Promise<number | null> =>
  asksForKeys() ? readMemberByFeed(sql(), key) : readHouseholdByFeed(sql(), key);

/** The key of the calendar address of whoever asks; it ends with her membership. */
export async function calendarKey(ofHousehold: string): Promise<string> {
  const { member, householdId } = await whoAsks();
  if (!member || householdId === null) return ofHousehold;
  const known = await readMemberFeed(sql(), householdId, member.member);
  if (known !== null) return known;
  const key = newFeedKey();
  await putMemberFeed(sql(), householdId, member.member, key);
  return key;
}

export const calendarSchema = Joi.object({});

/** Gives whoever asks a new calendar address; her old one is shut. @throws Problem 400, 401 or 404 */
export async function renewCalendar(body: unknown): Promise<{ says: string }> {
  validate(calendarSchema, body);
  const { member, householdId } = await whoAsks();
  if (!member || householdId === null)
    throw new Problem(404, 'not-found', 'This server asks nobody: the household has one calendar address.');
  await putMemberFeed(sql(), householdId, member.member, newFeedKey());
  await logHere('code', `${member.name} has a new calendar address.`);
  return { says: 'Your calendar has a new address. The old one no longer works.' };
}

export const calendarEndSchema = Joi.object({ member: uuid.required() });

/** Shuts a member’s calendar address. @throws Problem 400, 401 or 403 */
export async function endCalendar(body: unknown): Promise<{ says: string }> {
  const told = validate<{ member: string }>(calendarEndSchema, body);
  const visitor = await whoAsks();
  if (visitor.member?.member !== told.member) await mustBe('cook');
  await putMemberFeed(sql(), (await ourHousehold()).id, told.member, null);
  await logHere('code', 'A calendar address was shut.');
  return { says: 'That calendar address no longer works.' };
}
