import type { CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../foods/food';
import type { Caution } from '../keeping/history';
import { Refusal } from '../refusal';
import type { Package, Zone } from './package';

/** What a decision may look at: loaded and locked by the service, with clock and chance handed in. */
export interface World {
  /** The household's date of the command. */
  today: CalendarDate;
  /** The command's instant, ISO 8601 UTC. */
  at: string;
  currency: string;
  caution: Caution;
  food(id: string): Food;
  zone(id: string): Zone;
  package(id: string): Package;
  newId(): string;
  newCode(): string;
}

/** Somebody changed the package since the cook saw it. */
export class StaleVersion extends Error {
  constructor(readonly present: Package) {
    super(`package ${present.code} is at version ${present.version}`);
    this.name = 'StaleVersion';
  }
}

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
