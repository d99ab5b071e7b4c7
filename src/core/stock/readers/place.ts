import { foodKey, foodWords } from '../../foods/foodKey';
import type { AskedZone } from '../asking';
import type { Found, Word } from './askedWords';

const COLD_WORDS: Readonly<Record<string, 'fridge' | 'freezer'>> = {
  fridge: 'fridge',
  refrigerator: 'fridge',
  freezer: 'freezer',
};

/** A zone, an appliance, "fridge", "door", "counter". */
export function readPlace(words: readonly Word[], zones: readonly AskedZone[]): Found | null {
  const named = (says: string, ids: readonly (string | null)[], length: number): Found => ({
    length,
    says,
    narrows: { by: 'place', zones: new Set(ids) },
  });
  for (let length = Math.min(6, words.length); length > 0; length--) {
    const wanted = words.slice(0, length).map(({ plain }) => plain);
    const key = [...wanted].sort().join(' ');
    const rest = wanted.slice(1).sort().join(' ');
    const own = zones.filter(
      ({ name, appliance }) => foodKey(name) === key || foodKey(`${name} ${appliance}`) === key,
    );
    if (own.length > 0)
      return named(
        own.length === 1 && own[0] ? `in ${own[0].name}` : `in ${own.length} places so called`,
        own.map(({ id }) => id),
        length,
      );
    const told = COLD_WORDS[wanted[0] ?? ''];
    const inside = told ? zones.filter(({ name, cold }) => cold === told && foodKey(name) === rest) : [];
    if (inside.length > 0)
      return named(
        inside.length === 1 && inside[0]
          ? `in ${inside[0].name}, ${inside[0].appliance}`
          : `in ${inside.length} places so called`,
        inside.map(({ id }) => id),
        length,
      );
    const of = zones.filter(({ appliance }) => {
      const all = foodWords(appliance);
      return length === 1 ? all.includes(wanted[0] ?? '') : foodKey(appliance) === key;
    });
    const cold = wanted.length === 1 ? told : undefined;
    const door = wanted.length === 1 && wanted[0] === 'door';
    // "Fridge" means all that is cold so, not only the appliance that bears the word.
    const meant = cold
      ? zones.filter((zone) => zone.cold === cold)
      : of.length > 0
        ? of
        : door
          ? zones.filter(({ side }) => side === 'door')
          : [];
    if (meant.length > 0) {
      const names = [...new Set(meant.map(({ appliance }) => appliance))];
      return named(
        cold ? `in a ${cold}` : door ? 'in a door' : `in ${names.join(' or ')}`,
        meant.map(({ id }) => id),
        length,
      );
    }
    if (key === 'counter' || key === 'out') return named('on the counter', [null], length);
  }
  return null;
}
