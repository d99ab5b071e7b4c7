import type { CommandKind, OnPackage } from '../../model/command';
import { happened } from '../../model/decision';
import type { LedgerEvent } from '../../model/package';
import type { Role } from '../../model/role';
import { alsoMade } from './alsoMade';
import type { World } from '../../model/world';

/**
 * A command on one package, which needs that package and, told late, what was made of it since.
 *
 * @param may who may tell it besides a cook
 */
export function packageCommand<Body extends OnPackage>(
  type: string,
  verb: (body: Body, world: World) => LedgerEvent[],
  may: readonly Role[] = [],
): CommandKind<Body> {
  return {
    type,
    may,
    needs: ({ package: id }) => ({ packages: [id], madeOf: id }),
    decide: (command, world) => happened(alsoMade(verb(command, world), world)),
  };
}
