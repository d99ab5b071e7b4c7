import type { Package } from './package';

/** Somebody changed the package since the cook saw it. */
export class StaleVersion extends Error {
  constructor(readonly present: Package) {
    super(`package ${present.code} is at version ${present.version}`);
    this.name = 'StaleVersion';
  }
}

/** Somebody changed a drawing, or a line of a haul, since the cook saw it. */
export class StaleSetting extends Error {
  constructor(what: string) {
    super(`${what} has changed`);
    this.name = 'StaleSetting';
  }
}
