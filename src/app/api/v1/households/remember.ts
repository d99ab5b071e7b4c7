import { cookies } from 'next/headers';
import { HOUSEHOLD_COOKIE, PERSON_COOKIE } from '@/services/household/chosen';

const TEN_YEARS_S = 10 * 365 * 86_400;
const HOW = { path: '/', sameSite: 'lax', httpOnly: true, maxAge: TEN_YEARS_S } as const;

/** This device shows that household from now on; who uses it there is asked anew. */
export async function rememberHousehold(id: number): Promise<void> {
  const jar = await cookies();
  jar.set(HOUSEHOLD_COOKIE, String(id), HOW);
  jar.delete(PERSON_COOKIE);
}

/** Who uses this device from now on; empty: nobody says. */
export async function rememberPerson(name: string): Promise<void> {
  const jar = await cookies();
  if (name === '') jar.delete(PERSON_COOKIE);
  else jar.set(PERSON_COOKIE, encodeURIComponent(name), HOW);
}
