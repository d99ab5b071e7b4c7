import type { CommandKind } from '../../model/command';
import type { MealRhythm } from '../../model/meal';
import { Refusal } from '../../model/refusal';
import { keptDecided } from '../settings/keptDecided';

/** How the household eats: times, eaters, habits. @throws Refusal `meal` when nobody eats or a time is there twice */
export const setRhythmCommand: CommandKind<{ rhythm: MealRhythm }> = {
  type: 'meal.rhythm',
  needs: () => ({ kept: ['rhythm', 'meal'] }),
  decide: ({ rhythm }, world) => {
    const twice = (names: string[]): boolean =>
      new Set(names.map((name) => name.toLowerCase())).size < names.length;
    if (rhythm.slots.length === 0) throw new Refusal('meal', 'When do you eat? Keep at least one time.');
    if (twice(rhythm.slots.map(({ name }) => name)))
      throw new Refusal('meal', 'Two times have the same name.');
    if (twice(rhythm.eaters.map(({ name }) => name)))
      throw new Refusal('meal', 'Two eaters have the same name.');
    const lost = world
      .keptAll('meal')
      .find(
        ({ on, slot, state }) =>
          state === 'planned' && on >= world.today && !rhythm.slots.some(({ id }) => id === slot),
      );
    if (lost) throw new Refusal('meal', `${lost.name} is planned at that time. Move or skip it first.`);
    return keptDecided(world, 'rhythm', '', rhythm, 'How we eat was changed.');
  },
};
