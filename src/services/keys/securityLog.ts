import { sql } from '@/store/database';
import { addSecurityEvent, readSecurityEvents, type SecurityKind } from '@/store/securityEvents';
import { now } from '../door/clock';
import { ourHousehold } from '../household/household';
import { asksForKeys } from './asksForKeys';
import { signedIn, whoAsks } from './whoAsks';

/** Writes down what happened to keys, for the cooks of these households. Where nobody is asked, nobody reads it. */
export async function logSecurity(
  kind: SecurityKind,
  says: string,
  householdIds: readonly number[],
  member: string | null,
): Promise<void> {
  if (!asksForKeys()) return;
  await addSecurityEvent(sql(), householdIds, { at: now(), kind, member, says });
}

/** The same for the household that is shown, by whoever asks. */
export async function logHere(kind: SecurityKind, says: string): Promise<void> {
  if (!asksForKeys()) return;
  const [household, me] = [await ourHousehold(), await signedIn()];
  await logSecurity(kind, says, [household.id], me?.name ?? null);
}

const SHOWN = 200;

/** What happened to the keys of this household, the newest first: all of it for a cook, for others what they did themselves. */
export async function readSecurityLog(): Promise<{
  events: { at: string; kind: string; member: string | null; says: string }[];
}> {
  const { role, member } = await whoAsks();
  const events = await readSecurityEvents(sql(), (await ourHousehold()).id, SHOWN);
  return { events: role === 'cook' ? events : events.filter((event) => event.member === member?.name) };
}
