import type { Command } from '../model/command';
import { answerPackage } from './package/answerPackage';
import {
  findPackage,
  freezePackage,
  keepOutPackage,
  movePackage,
  openPackage,
  thawPackage,
} from './package/moveTo';
import { cookPackage } from './package/cookPackage';
import type { LedgerEvent, Lot } from '../model/package';
import { addFood, retireFood, wishFood } from './household/addFood';
import { drawAppliance, orderKitchen, removeAppliance } from './kitchen/drawAppliance';
import { measureZone } from './kitchen/measureZone';
import { renewFigures } from './package/redatePackages';
import { removeContainer, setContainer } from './kitchen/setContainer';
import { setHousehold } from './household/setHousehold';
import { doJob, setJob } from './household/setJob';
import { settlePassing } from './package/settlePassing';
import { packHaul } from './haul/packHaul';
import { putAway } from './haul/putAway';
import { beginHaul, closeHaul, setHaul } from './haul/setHaul';
import { dropHaulLine, learnCode, setHaulLine } from './haul/setHaulLine';
import type { SettingEvent } from '../model/setting';
import { storeHaul } from './haul/storeHaul';
import { takeAmount } from './stock/takeAmount';
import { compostPackage, discardPackage, takePackage } from './package/takePackage';
import { topUpPot } from './package/topUpPot';
import { undoCommand, type PastCommand } from './undo/undoCommand';
import type { World } from '../model/world';

export interface Decision {
  lots: Lot[];
  events: LedgerEvent[];
  settings: SettingEvent[];
}

const only = (events: LedgerEvent[]): Decision => ({ lots: [], events, settings: [] });

function decideType(command: Command, world: World, past: PastCommand | null): Decision {
  switch (command.type) {
    case 'haul.store':
      return { ...storeHaul(command.lines, world), settings: [] };
    case 'haul.begin':
      return beginHaul(command, world);
    case 'haul.set':
      return setHaul(command, world);
    case 'haul.line':
      return setHaulLine(command, world);
    case 'haul.drop':
      return dropHaulLine(command, world);
    case 'haul.pack':
      return packHaul(command, world);
    case 'haul.away':
      return only(putAway(command, world));
    case 'haul.close':
      return closeHaul(command, world);
    case 'code.learn':
      return learnCode(command, world);
    case 'package.take':
      return only(takePackage(command, world));
    case 'package.give':
      return only(takePackage(command, world, 'given'));
    case 'package.compost':
      return only(compostPackage(command, world));
    case 'package.cook':
      return cookPackage(command, world);
    case 'package.move':
      return only(movePackage(command, world));
    case 'package.open':
      return only(openPackage(command, world));
    case 'package.freeze':
      return only(freezePackage(command, world));
    case 'package.thaw':
      return only(thawPackage(command, world));
    case 'package.discard':
      return only(discardPackage(command, world));
    case 'package.answer':
      return only(answerPackage(command, world));
    case 'package.top-up':
      return only(topUpPot(command, world));
    case 'package.keep-out':
      return only(keepOutPackage(command, world));
    case 'package.find':
      return only(findPackage(command, world));
    case 'stock.take':
      return only(takeAmount(command, world));
    case 'food.add':
      return addFood(command, world);
    case 'food.retire':
      return retireFood(command, world);
    case 'food.wish':
      return wishFood(command, world);
    case 'household.set':
      return setHousehold(command, world);
    case 'job.done':
      return doJob(command, world);
    case 'job.set':
      return setJob(command, world);
    case 'appliance.draw':
      return drawAppliance(command, world);
    case 'appliance.remove':
      return removeAppliance(command, world);
    case 'kitchen.order':
      return orderKitchen(command, world);
    case 'zone.measure':
      return measureZone(command, world);
    case 'container.set':
      return setContainer(command, world);
    case 'container.remove':
      return removeContainer(command, world);
    case 'figures.renew':
      return only(renewFigures(world));
    case 'ledger.undo':
      return undoCommand(past, world, command.meanwhile);
  }
}

/**
 * Decides a command: the events it makes, or a refusal. Nothing is written here; the store applies what comes back.
 *
 * @param past the command an undo speaks of; needed for `ledger.undo` only
 * @throws Refusal or StaleVersion
 */
export function decide(command: Command, world: World, past: PastCommand | null): Decision {
  const decision = decideType(command, world, past);
  return { ...decision, events: decision.events.map((event) => settlePassing(event, world.today)) };
}
