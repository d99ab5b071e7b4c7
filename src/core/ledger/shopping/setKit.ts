import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { Kit } from '../../model/kept';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { keptDecided } from '../settings/keptDecided';

/** Sets up a kit that is filled again and again, changes it, or gives it up. @throws Refusal `kit` */
function setKit({ kit, keep }: { kit: Kit; keep: boolean }, world: World): Decision {
  const before = world.kept('kit', kit.id);
  if (!keep) {
    if (!before) throw new Refusal('kit', 'There is no such kit.');
    return keptDecided(world, 'kit', kit.id, null, `${before.name} is no kit any more.`);
  }
  if (kit.parts.length === 0) throw new Refusal('kit', 'What goes into it? At least one thing.');
  const parts = kit.parts.map((part) => {
    const { id, name } = world.food(part.food);
    return { ...part, food: id, called: part.called.trim() || name };
  });
  return keptDecided(
    world,
    'kit',
    kit.id,
    { ...kit, parts },
    `Kit ${kit.name}: ${parts.map(({ called }) => called).join(', ')}.`,
  );
}

export const setKitCommand: CommandKind<{ kit: Kit; keep: boolean }> = {
  type: 'kit.set',
  needs: () => ({ kept: ['kit'] }),
  decide: setKit,
};
