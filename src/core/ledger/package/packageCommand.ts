import type { CommandKind, OnPackage } from '../../model/command';
import { happened } from '../../model/decision';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';

/** A command on one package, which needs that package and nothing else. */
export function packageCommand<Body extends OnPackage>(
  type: string,
  verb: (body: Body, world: World) => LedgerEvent[],
): CommandKind<Body> {
  return {
    type,
    needs: ({ package: id }) => ({ packages: [id] }),
    decide: (command, world) => happened(verb(command, world)),
  };
}
