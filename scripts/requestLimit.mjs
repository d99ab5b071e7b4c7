// How many requests one address may send in a minute: counted here at once, and together with the other copies of the server.
import { LRUCache } from 'lru-cache';
import { RateLimiterMemory } from 'rate-limiter-flexible';

const SECONDS = 60;
const MAX_ADDRESSES = 100_000;
/** An address is told of to the others each time it has sent this share of what it may: a house that cooks never is. */
const TOLD_EACH = 1 / 60;

/**
 * @param most requests a minute
 * @param tellAll tells all copies that an address sent so many more: resolves to how many ms it has to wait, 0 when none; where the
 *   store cannot be reached, each copy counts for itself
 * @returns takes a request of an address, and says how many seconds it has to wait, 0 when none
 */
export function requestLimit(most, tellAll) {
  const here = new RateLimiterMemory({ points: most, duration: SECONDS });
  const shut = new RateLimiterMemory({ points: 0, duration: SECONDS });
  /** Requests of an address that the others have not been told of. */
  const untold = new LRUCache({ max: MAX_ADDRESSES, ttl: SECONDS * 1000 });
  const step = Math.max(1, Math.ceil(most * TOLD_EACH));
  const secondsOf = (ms) => Math.max(1, Math.ceil(ms / 1000));

  async function tell(address, count) {
    const ms = await tellAll(address, count).catch(() => 0);
    if (ms > 0) await shut.block(address, secondsOf(ms));
  }

  return async (address) => {
    const closed = await shut.get(address);
    if (closed) return secondsOf(closed.msBeforeNext);
    try {
      await here.consume(address);
    } catch (left) {
      return secondsOf(left.msBeforeNext);
    }
    // Counted and told in one go: of a thousand that come at once each would tell of all.
    const count = (untold.get(address) ?? 0) + 1;
    untold.set(address, count >= step ? 0 : count);
    // Nobody waits for it: the next ones are turned away by it.
    if (count >= step) void tell(address, count);
    return 0;
  };
}
