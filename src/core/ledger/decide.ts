import type { Command } from './command';
import { freezePackage, movePackage, openPackage, thawPackage } from './changePackage';
import type { LedgerEvent, Lot } from './package';
import { storeHaul } from './storeHaul';
import { discardPackage, takePackage } from './takePackage';
import { undoCommand, type PastCommand } from './undoCommand';
import type { World } from './world';

export interface Decision {
  lots: Lot[];
  events: LedgerEvent[];
}

/**
 * Decides a command: the events it makes, or a refusal. Nothing is written here; the store applies what comes back.
 *
 * @param past the command an undo speaks of; needed for `ledger.undo` only
 * @throws Refusal or StaleVersion
 */
export function decide(command: Command, world: World, past: PastCommand | null): Decision {
  switch (command.type) {
    case 'haul.store':
      return storeHaul(command.lines, world);
    case 'package.take':
      return { lots: [], events: takePackage(command, world) };
    case 'package.move':
      return { lots: [], events: movePackage(command, world) };
    case 'package.open':
      return { lots: [], events: openPackage(command, world) };
    case 'package.freeze':
      return { lots: [], events: freezePackage(command, world) };
    case 'package.thaw':
      return { lots: [], events: thawPackage(command, world) };
    case 'package.discard':
      return { lots: [], events: discardPackage(command, world) };
    case 'ledger.undo':
      return {
        lots: [],
        events: undoCommand(past ?? { says: '', undone: false, events: [] }, world.package),
      };
  }
}
