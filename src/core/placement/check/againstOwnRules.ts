import { type KitchenZone, type LyingPackage, SOON_DAYS, SOON_FROZEN_DAYS } from '../lyingPackage';
import { elsewhere, type Finding, type Look, misplaced, type Rule } from './finding';

/** Where a package lies, told with what the household decided for that zone. */
function there(
  look: Look,
  isIt: (zone: KitchenZone, found: LyingPackage) => boolean,
  tell: (zone: KitchenZone, found: LyingPackage) => string,
  why: string,
): Finding[] {
  return look.contents.flatMap((found): Finding[] => {
    const zone = look.zoneOf(found);
    if (!zone || !isIt(zone, found)) return [];
    return [{ zone, packages: [found], says: tell(zone, found), why, fix: elsewhere(found, look) }];
  });
}

const isSoon = ({ state, daysLeft }: LyingPackage): boolean =>
  daysLeft !== null && daysLeft <= (state === 'frozen' ? SOON_FROZEN_DAYS : SOON_DAYS);

/** C8: a zone against what the household decided for it: its own rules, kept free, hard to reach, its litres. */
export const againstOwnRules: Rule = (look) => [
  ...misplaced(
    look,
    ({ rule }) => rule === 'P4' || rule === 'P1',
    'You set this rule for the zone yourself.',
  ),
  ...there(
    look,
    ({ keptEmpty }) => keptEmpty,
    ({ name }, { called }) => `${called} lies in ${name}, which is kept free.`,
    'A place kept free is there when the pot must go in.',
  ),
  ...there(
    look,
    ({ hardToReach }, found) => hardToReach && isSoon(found),
    ({ name }, { called, daysLeft }) =>
      `${called} has ${Math.max(0, daysLeft ?? 0)} days left and lies in ${name}, which is hard to reach.`,
    'What is hard to reach is seen too late.',
  ),
  ...look.zones.flatMap((zone): Finding[] =>
    zone.limitLitres === null || zone.filledLitres <= zone.limitLitres + 1e-6
      ? []
      : [
          {
            zone,
            packages: [],
            says: `${zone.name} holds more than the ${zone.limitLitres} litres you set for it.`,
            why: 'It is kept small so that it is eaten down.',
            fix: { kind: 'look', zone: zone.id },
          },
        ],
  ),
];
