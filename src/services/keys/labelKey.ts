import { putGuestKey, readGuestKey } from '@/store/householdKeys';
import { timingSafeEqual } from 'node:crypto';
import { sql } from '@/store/database';
import { asksForKeys } from './asksForKeys';
import { labelMark, newGuestKey } from './secrets';

/** A household in base 36, and the mark of one label. */
const KEY = /^([0-9a-z]{1,7})-([A-Z2-9]{12})$/;

/**
 * What stands behind the address on each label, so that who is no member may read that label and no other one: "?g=…". Empty where
 * nobody is asked.
 */
export async function labelKeys(householdId: number): Promise<(code: string) => string> {
  if (!asksForKeys()) return () => '';
  let secret = await readGuestKey(sql(), householdId);
  if (secret === '') {
    secret = newGuestKey();
    await putGuestKey(sql(), householdId, secret);
  }
  return (code) => `?g=${householdId.toString(36)}-${labelMark(secret, code)}`;
}

/** The household whose label with this code has this key; `null`: none. */
export async function householdOfLabel(code: string, key: string): Promise<number | null> {
  const [, household = '', mark = ''] = KEY.exec(key) ?? [];
  if (mark === '') return null;
  const id = parseInt(household, 36);
  const secret = await readGuestKey(sql(), id);
  if (secret === '') return null;
  return timingSafeEqual(Buffer.from(labelMark(secret, code)), Buffer.from(mark)) ? id : null;
}
