import { Refusal } from '../../model/refusal';
import type { Package } from '../../model/package';
import type { World } from '../../model/world';
import { StaleVersion } from '../../model/stale';

/**
 * The package of a command, present and at the version the cook saw.
 *
 * @throws Refusal `gone` when it is not in the store any more
 * @throws StaleVersion when its version is another one
 */
export function presentPackage(world: World, id: string, version: number): Package {
  const found = world.package(id);
  if (found.version !== version) throw new StaleVersion(found);
  if (found.gone)
    throw new Refusal(
      'gone',
      `${found.code} is not in the store any more (${found.gone.how} ${found.gone.on}).`,
    );
  return found;
}
