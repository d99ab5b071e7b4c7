import { daysBetween } from '../../calendar/calendarDate';
import type { Finding, Rule } from './finding';

const FORGOTTEN_DAYS = 60;

/** C7: a zone that nothing came to or went from for long. */
export const forgotten: Rule = (look) =>
  look.zones.flatMap((zone): Finding[] => {
    if (zone.touchedOn === null || look.inside(zone).length === 0) return [];
    const days = daysBetween(zone.touchedOn, look.today);
    if (days < FORGOTTEN_DAYS) return [];
    return [
      {
        zone,
        packages: [],
        says: `Nothing came to or went from ${zone.name} for ${days} days.`,
        why: 'What nobody touches is found too late.',
        fix: { kind: 'look', zone: zone.id },
      },
    ];
  });
