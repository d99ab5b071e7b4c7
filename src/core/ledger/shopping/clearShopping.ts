import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { keptDecided } from '../settings/keptDecided';
import { sayLine } from './writeShopping';

const MOST_SAID = 3;

/** Takes lines off the shopping list: bought, or not wanted any more. @throws Refusal `shopping` when none of them is there */
function clearShopping({ lines }: { lines: string[] }, world: World): Decision {
  const there = lines.flatMap((id) => world.kept('shopping', id) ?? []);
  if (there.length === 0) throw new Refusal('shopping', 'None of that is on the list any more.');
  const said = there.slice(0, MOST_SAID).map(sayLine);
  const more = there.length > MOST_SAID ? ` and ${there.length - MOST_SAID} more` : '';
  const says = `Off the shopping list: ${said.join(', ')}${more}.`;
  return {
    lots: [],
    events: [],
    settings: there.flatMap(({ id }) => keptDecided(world, 'shopping', id, null, says).settings),
  };
}

export const clearShoppingCommand: CommandKind<{ lines: string[] }> = {
  type: 'shopping.clear',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['shopping'] }),
  decide: clearShopping,
};
