import { wasSet, type Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Puts the appliances into another order. @throws Refusal `order` when it does not name each of them once */
function orderKitchen(command: { appliances: string[] }, world: World): Decision {
  const before = world.order();
  if ([...command.appliances].sort().join() !== [...before].sort().join()) {
    throw new Refusal('order', 'The order must name every appliance once.');
  }
  return wasSet({
    type: 'kitchen.ordered',
    before: { kind: 'order', subject: '', value: before },
    after: { kind: 'order', subject: '', value: command.appliances },
    says: 'The appliances stand in another order.',
  });
}

export const orderKitchenCommand: CommandKind<{ appliances: string[] }> = {
  type: 'kitchen.order',
  needs: () => ({}),
  decide: orderKitchen,
};
