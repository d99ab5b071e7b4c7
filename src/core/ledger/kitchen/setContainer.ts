import { checkContainer, type Container } from '../../packaging/container';
import { Refusal } from '../../refusal';
import type { Decision } from '../decide';
import type { Setting } from '../../model/setting';
import type { World } from '../../model/world';

function decided(before: Container | null, after: Container | null, id: string, says: string): Decision {
  const setting = (value: Container | null): Setting => ({ kind: 'container', subject: id, value });
  return {
    lots: [],
    events: [],
    settings: [
      {
        type: after ? 'container.set' : 'container.removed',
        before: before && setting(before),
        after: setting(after),
        says,
      },
    ],
  };
}

/** Adds a container the household owns, or changes one. @throws Refusal `container` with the measure that is wrong */
export function setContainer({ container }: { container: Container }, world: World): Decision {
  const fault = checkContainer(container);
  if (fault) throw new Refusal('container', fault);
  const says = `${container.count} × ${container.name} among the containers.`;
  return decided(world.container(container.id), container, container.id, says);
}

/** Takes a container out of the list. @throws Refusal when it is not there */
export function removeContainer(command: { container: string }, world: World): Decision {
  const before = world.container(command.container);
  if (!before) throw new Refusal('container', 'There is no such container.');
  return decided(before, null, before.id, `${before.name} is no longer among the containers.`);
}
