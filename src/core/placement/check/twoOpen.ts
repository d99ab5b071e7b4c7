import type { LyingPackage } from '../lyingPackage';
import { type Finding, grouped, type Look, type Rule } from './finding';

/** The open ones of each food, the oldest first, with all of that food; foods with none open are left out. */
export function openedOfFood({ contents }: Look): { open: LyingPackage[]; alike: LyingPackage[] }[] {
  return grouped(contents, ({ food }) => food.id)
    .map((alike) => ({
      alike,
      open: alike.filter(({ opened }) => opened).sort((a, b) => (a.startOn < b.startOn ? -1 : 1)),
    }))
    .filter(({ open }) => open.length > 0);
}

/** C4: two open ones of the same food. */
export const twoOpen: Rule = (look) =>
  openedOfFood(look).flatMap(({ open: [first, second] }): Finding[] => {
    const zone = first && look.zoneOf(first);
    if (!first || !second || !zone) return [];
    return [
      {
        zone,
        packages: [first, second],
        says: `Two of ${first.called} stand open: in ${zone.name} and in ${look.zoneOf(second)?.name ?? ''}.`,
        why: 'Two open ones spoil twice as fast as one after the other.',
        fix: { kind: 'eat-first', package: first.id },
      },
    ];
  });
