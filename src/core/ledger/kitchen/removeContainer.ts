import { Refusal } from '../../model/refusal';
import type { Decision } from '../../model/decision';
import type { World } from '../../model/world';
import { decided } from './containerDecided';
import type { CommandKind } from '../../model/command';

/** Takes a container out of the list. @throws Refusal when it is not there */
function removeContainer(command: { container: string }, world: World): Decision {
  const before = world.container(command.container);
  if (!before) throw new Refusal('container', 'There is no such container.');
  return decided(before, null, before.id, `${before.name} is no longer among the containers.`);
}

export const removeContainerCommand: CommandKind<{ container: string }> = {
  type: 'container.remove',
  needs: () => ({ containers: true }),
  decide: removeContainer,
};
