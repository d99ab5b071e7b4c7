import { HARD_FROZEN_C, MOST_NOTE } from '../../model/limits';
import type { Food } from '../../model/food';
import { ownRule } from '../../placement/ownRule';
import { Refusal } from '../../model/refusal';
import type { Zone } from '../../model/package';

/** Warmer than this a fridge is none for food that must be kept cold, °C. */
const NO_FRIDGE_C = 10;

/** What speaks against a zone; `own`: a rule of the household's, which the cook may overrule. */
export interface ZoneFault {
  rule: string;
  says: string;
  own: boolean;
}

const celsius = (figure: number): string => `${String(figure).replace('-', '−')} °C`;

/** A zone that measures otherwise than its kind is judged by what it is, not by what it is called. */
function measuredFault({ name, cold, temperatureC }: Zone, food: Food): ZoneFault | null {
  const says = (why: string): ZoneFault => ({
    rule: 'P1',
    says: `${name} is at ${celsius(temperatureC)}: ${why} Measure it again, or choose another zone.`,
    own: false,
  });
  if (cold === 'freezer') return temperatureC > HARD_FROZEN_C ? says('nothing stays frozen there.') : null;
  if (temperatureC <= HARD_FROZEN_C) return says('chilled food would freeze there.');
  return food.controlled && temperatureC > NO_FRIDGE_C ? says('that is no fridge for it.') : null;
}

/** The household's own rules (P4): whose zone it is, what alone or never lies there. */
function ownFault(zone: Zone, food: Food): ZoneFault | null {
  const against = ownRule(food, zone);
  return against === null ? null : { rule: 'P4', says: `${zone.name} ${against}`, own: true };
}

/** What speaks against putting a food into a zone; `null`: nothing. */
function zoneFault(zone: Zone, food: Food): ZoneFault | null {
  return measuredFault(zone, food) ?? ownFault(zone, food);
}

/**
 * Lets a food into a zone or says why not. A rule of the household's own may be overruled; what it says stays on the package.
 *
 * @returns the warning for the package's note; empty: none
 * @throws Refusal P1 or P4
 */
export function admitTo(zone: Zone, food: Food, anyway: boolean): string {
  const fault = zoneFault(zone, food);
  if (fault === null) return '';
  if (fault.own && anyway) return fault.says;
  throw new Refusal(fault.rule, fault.says);
}

/** A note with a warning behind it. */
export function warnedNote(note: string, warning: string): string {
  if (warning === '' || note.includes(warning)) return note;
  return [note, warning]
    .filter((words) => words !== '')
    .join(' · ')
    .slice(0, MOST_NOTE);
}
