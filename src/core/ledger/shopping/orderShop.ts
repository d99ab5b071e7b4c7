import type { CommandKind } from '../../model/command';
import { keptDecided } from '../settings/keptDecided';

/** Sets the order in which the household goes through the shop. */
export const orderShopCommand: CommandKind<{ groups: string[] }> = {
  type: 'shop.order',
  needs: () => ({ kept: ['shop-order'] }),
  decide: ({ groups }, world) =>
    keptDecided(world, 'shop-order', '', groups, 'The shopping list goes in the order of the shop.'),
};
