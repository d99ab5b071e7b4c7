import { RateLimiterRes } from 'rate-limiter-flexible';
import { attempts } from '@/store/attempts';
import { sql } from '@/store/database';
import { nameWeight } from '@/store/members';
import { Problem } from '../door/problem';
import { callerAddress } from '../household/chosen';
import { digestOf } from './secrets';

/** Wrong passwords for one name, wrong ones or codes from one address, and what anybody may look at. */
const FOR_NAME = { points: 10, seconds: 15 * 60 };
const FROM_ADDRESS = { points: 40, seconds: 15 * 60 };
const LOOKS = { points: 120, seconds: 15 * 60 };

const forName = () => attempts('name', FOR_NAME.points, FOR_NAME.seconds);
const fromAddress = () => attempts('address', FROM_ADDRESS.points, FROM_ADDRESS.seconds);

/** Counts what anybody may ask, from one address; it uses up nobody's way to sign in. @returns how to take it back @throws Problem 429 */
export async function countLook(what: 'label' | 'strength'): Promise<() => Promise<void>> {
  const address = await callerAddress();
  const looks = attempts(what, LOOKS.points, LOOKS.seconds);
  await looks.consume(address).catch(tooOften);
  return async () => void (await looks.reward(address));
}

function tooOften(left: unknown): never {
  if (!(left instanceof RateLimiterRes)) throw left;
  const minutes = Math.max(1, Math.ceil(left.msBeforeNext / 60_000));
  throw new Problem(
    429,
    'too-often',
    `That was tried too often. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}.`,
  );
}

/**
 * Counts an attempt before it is made, from this address and for this name, over all copies of the server.
 *
 * @param name whose password is tried; `null`: a code is
 * @returns how to take it back, when it was right
 * @throws Problem 429
 */
export async function countAttempt(name: string | null): Promise<() => Promise<void>> {
  const address = await callerAddress();
  // As the database compares names: written in another way it is the same one.
  const key = name === null ? undefined : digestOf(await nameWeight(sql(), name));
  await fromAddress().consume(address).catch(tooOften);
  if (key !== undefined) await forName().consume(key).catch(tooOften);
  return async () => {
    await fromAddress().reward(address);
    if (key !== undefined) await forName().delete(key);
  };
}
