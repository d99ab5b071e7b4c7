import { createHash } from 'node:crypto';
import { WHOSE } from '@/workers/whose';
import { now } from '../door/clock';
import { whoAsks } from '../keys/whoAsks';
import { minuteOf } from './context';
import { withCookies } from './chosen';
import { ourHousehold } from './household';

/** A household as one member sees it, as a word that tells nothing: what a phone keeps of one is not shown for the other. */
export const whoseOf = (member: string | undefined, householdId: number): string =>
  createHash('sha256')
    .update(`${member ?? ''} ${householdId}`)
    .digest('base64url')
    .slice(0, 16);

/** What a page is made of: for whom, and a text that is another one after every command, with other figures, with every minute, and for every other role. */
export const householdStanding = (cookie: string): Promise<{ text: string; whose: string }> =>
  withCookies(cookie, async () => {
    const { role, member } = await whoAsks();
    const { id, changes, figures } = await ourHousehold();
    return {
      text: [id, changes, figures, role, minuteOf(now())].join(' '),
      whose: whoseOf(member?.member, id),
    };
  });

/** Says whose an answer is, so that a phone keeps it for nobody else. */
export async function whoseHeader(): Promise<Record<string, string>> {
  const { member, householdId } = await whoAsks();
  return householdId === null ? {} : { [WHOSE]: whoseOf(member?.member, householdId) };
}
