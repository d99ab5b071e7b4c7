import type { Household } from '@/store/households';

/** What was read of one household since its last command. */
interface Kept {
  changes: number;
  readings: Map<string, Promise<unknown>>;
}

/** The most readings kept of one household, and the most households: what was read first goes first. */
const MOST_READINGS = 60;
const MOST_HOUSEHOLDS = 80;

// One for the process, also over the several bundles of a build.
const shared = globalThis as typeof globalThis & { orderlyFrostKept?: Map<string, Kept> };
const kept = (shared.orderlyFrostKept ??= new Map());

function forgetFirst(map: Map<unknown, unknown>, most: number): void {
  for (const key of map.keys()) {
    if (map.size <= most) return;
    map.delete(key);
  }
}

function keptUnder<Value>(
  owner: string,
  changes: number,
  name: string,
  read: () => Promise<Value>,
): Promise<Value> {
  let mine = kept.get(owner);
  if (mine?.changes !== changes) {
    // Somebody who began before the last command still reads as of then; that is kept for nobody.
    if (mine && mine.changes > changes) return read();
    kept.delete(owner);
    mine = { changes, readings: new Map() };
    kept.set(owner, mine);
    forgetFirst(kept, MOST_HOUSEHOLDS);
  }
  const before = mine.readings.get(name);
  if (before) return before as Promise<Value>;
  const reading = read();
  mine.readings.set(name, reading);
  forgetFirst(mine.readings, MOST_READINGS);
  reading.catch(() => mine.readings.delete(name));
  return reading;
}

/**
 * What was read before, as long as nothing went through the household's door since; else read now. What it depends on besides
 * the household (a scope, the minute) belongs into its name. Nobody may change what comes back.
 */
export const keptSince = <Value>(
  { id, changes }: Pick<Household, 'id' | 'changes'>,
  name: string,
  read: () => Promise<Value>,
): Promise<Value> => keptUnder(`${id}`, changes, name, read);

/** The same for its kitchen, which most commands leave as it is. */
export const keptKitchen = <Value>(
  { id, kitchenChanges }: Pick<Household, 'id' | 'kitchenChanges'>,
  read: () => Promise<Value>,
): Promise<Value> => keptUnder(`${id} kitchen`, kitchenChanges, '', read);
