/** So long one piece of work goes on before others have a turn, ms. */
const TURN_MS = 20;

/**
 * Does something with each of many items, and lets everybody else have a turn now and then.
 *
 * @param cancelled whoever asked for it went away
 */
export async function inTurns<Item>(
  items: Iterable<Item>,
  work: (item: Item) => void,
  cancelled?: AbortSignal,
): Promise<void> {
  let begun = performance.now();
  for (const item of items) {
    if (performance.now() - begun > TURN_MS) {
      await new Promise((wake) => setImmediate(wake));
      cancelled?.throwIfAborted();
      begun = performance.now();
    }
    work(item);
  }
}
