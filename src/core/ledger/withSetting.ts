import type { LeadDays } from '../firstout/askOn';
import { wishedFood } from '../foods/wish';
import type { Setting } from './setting';
import type { World } from './world';

/** The world as it is once something has been set. */
export function withSetting(world: World, setting: Setting): World {
  switch (setting.kind) {
    case 'household':
      return { ...world, settings: setting.value, caution: setting.value.caution };
    case 'wish': {
      const { subject, value } = setting;
      const wished = wishedFood(world.referenceFood(subject).food, value);
      return {
        ...world,
        wish: (id) => (id === subject ? value : world.wish(id)),
        food: (id) => (id === subject ? wished : world.food(id)),
      };
    }
    case 'food':
    case 'job':
      return world;
  }
}

/** Days ahead that a food's packages are told of: its own wish, else the household's. */
export function leadOf(world: Pick<World, 'wish' | 'settings'>, foodId: string): LeadDays {
  const own = world.wish(foodId).leadDays;
  return { chilled: own ?? world.settings.leadChilled, frozen: own ?? world.settings.leadFrozen };
}
