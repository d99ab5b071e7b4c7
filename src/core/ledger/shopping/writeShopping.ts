import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { ShoppingLine } from '../../model/kept';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { sayAmount } from '../../units/sayAmount';
import { keptDecided } from '../settings/keptDecided';

/** "2 × Milk 1 l", "dishwasher salt". */
export const sayLine = ({ called, packs, size }: Pick<ShoppingLine, 'called' | 'packs' | 'size'>): string =>
  `${packs > 1 ? `${packs} × ` : ''}${called}${size ? ` ${sayAmount(size.amount, size.unit)}` : ''}`;

/** Writes a line on the shopping list, changes it, or ticks it. @throws Refusal `shopping` for a line of nothing */
function writeShopping({ line }: { line: ShoppingLine }, world: World): Decision {
  const food = line.food === null ? null : world.food(line.food);
  const called = line.called.trim() || (food?.name ?? '');
  if (called === '') throw new Refusal('shopping', 'What is to be bought?');
  const before = world.kept('shopping', line.id);
  const after = { ...line, food: food?.id ?? null, called };
  const did = !before
    ? 'on the shopping list'
    : after.ticked && !before.ticked
      ? 'ticked off'
      : 'changed on the list';
  return keptDecided(world, 'shopping', line.id, after, `${sayLine(after)}: ${did}.`);
}

export const writeShoppingCommand: CommandKind<{ line: ShoppingLine }> = {
  type: 'shopping.write',
  may: HOUSEHOLD_MAY,
  unlisted: true,
  needs: () => ({ kept: ['shopping'] }),
  decide: writeShopping,
};
