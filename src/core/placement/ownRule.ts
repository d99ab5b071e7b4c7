import type { Food } from '../model/food';
import { isCalled } from '../foods/isCalled';
import type { ZoneRules } from '../model/drawing';

/**
 * What the household's own rules say against a food in a zone (P4): it is somebody's, never for it, or for something else only.
 * A hard rule for every proposal; the cook may overrule it.
 *
 * @returns words that go on from the zone's name; `null`: nothing
 */
export function ownRule(
  food: Food,
  { only, never, person }: Pick<ZoneRules, 'only' | 'never' | 'person'>,
): string | null {
  if (person !== '') return `belongs to ${person}.`;
  const barred = never.find((word) => isCalled(food, word));
  if (barred !== undefined) return `is never for ${barred}.`;
  return only.length > 0 && !only.some((word) => isCalled(food, word))
    ? `is only for ${only.join(', ')}.`
    : null;
}

/** A zone's own rules behind its name in a list: "; belongs to Wren", "; only dairy", "; never raw"; empty: none. */
export function sayOwnRules({ only, never, person }: Pick<ZoneRules, 'only' | 'never' | 'person'>): string {
  const told = [
    person === '' ? '' : `belongs to ${person}`,
    only.length === 0 ? '' : `only ${only.join(', ')}`,
    never.length === 0 ? '' : `never ${never.join(', ')}`,
  ];
  return told
    .filter((words) => words !== '')
    .map((words) => `; ${words}`)
    .join('');
}
