import { checkContainer } from '../../packaging/checkContainer';
import type { Container } from '../../model/container';
import { Refusal } from '../../model/refusal';
import type { Decision } from '../../model/decision';
import type { World } from '../../model/world';
import { decided } from './containerDecided';
import type { CommandKind } from '../../model/command';

/** Adds a container the household owns, or changes one. @throws Refusal `container` with the measure that is wrong */
function setContainer({ container }: { container: Container }, world: World): Decision {
  const fault = checkContainer(container);
  if (fault) throw new Refusal('container', fault);
  const says = `${container.count} × ${container.name} among the containers.`;
  return decided(world.container(container.id), container, container.id, says);
}

export const setContainerCommand: CommandKind<{ container: Container }> = {
  type: 'container.set',
  needs: () => ({ containers: true }),
  decide: setContainer,
};
