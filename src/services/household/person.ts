import { whoAsks } from '../keys/whoAsks';
import { cookieOf, PERSON_COOKIE } from './chosen';

/** The name of who uses this device, as chosen on it; where keys are asked for, else the member's; `null`: nobody chose. */
export async function chosenPerson(): Promise<string | null> {
  const name = await cookieOf(PERSON_COOKIE);
  if (!name) return (await whoAsks()).member?.name ?? null;
  try {
    return decodeURIComponent(name).slice(0, 60);
  } catch {
    return null;
  }
}
