import { RateLimiterRes } from 'rate-limiter-flexible';
import { attempts } from '@/store/attempts';

const SECONDS = 60;

/**
 * Counts requests of an address together with the other copies of the server.
 *
 * @param count how many came since it was told last @param most how many may come in a minute
 * @returns how many ms the address has to wait; 0: none
 */
export async function countRequests(address: string, count: number, most: number): Promise<number> {
  try {
    await attempts('requests', most, SECONDS).consume(address, count);
    return 0;
  } catch (left) {
    if (left instanceof RateLimiterRes) return left.msBeforeNext;
    throw left;
  }
}
