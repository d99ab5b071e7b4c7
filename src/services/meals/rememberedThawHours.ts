import { LRUCache } from 'lru-cache';
import { type FrozenPack, type ThawHours, thawHours } from '@/core/meals/thawWays';
import type { Food } from '@/core/model/food';

const MOST = 4000;
// One for the process, also over the several bundles of a build.
const shared = globalThis as typeof globalThis & { orderlyFrostThawHours?: LRUCache<string, ThawHours> };
const known = (shared.orderlyFrostThawHours ??= new LRUCache({ max: MOST }));

/** The hours of a package alike are worked out once: they follow from the food, its amount and its form alone. */
export function rememberedThawHours(pack: FrozenPack, food: Food): ThawHours {
  const { composition, freezingPointC, group, controlled, copyOf } = food;
  const { amount, unit, form } = pack;
  const key = JSON.stringify([
    food.id,
    copyOf,
    composition,
    freezingPointC,
    group,
    controlled,
    amount,
    unit,
    form,
  ]);
  const before = known.get(key);
  if (before) return before;
  const hours = thawHours(pack, food);
  known.set(key, hours);
  return hours;
}
