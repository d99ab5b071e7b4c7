import { addDays, type CalendarDate } from '../../calendar/calendarDate';
import type { Cut, CutDeed } from '../../model/cut';
import type { HistoryEvent } from '../../model/history';
import type { World } from '../../model/world';

const HOUR_MS = 3_600_000;

/**
 * What a deed writes into the history of a package that stays; its days count from the day the power was back, not from today. What is
 * to be thrown out and still lies there is not for eating.
 */
export function afterCut(
  did: CutDeed,
  cut: Cut,
  world: Pick<World, 'today' | 'now' | 'dayOf'>,
): HistoryEvent {
  const back: CalendarDate = world.dayOf(cut.until ?? world.now);
  const hours = (Date.parse(cut.until ?? world.now) - Date.parse(cut.from)) / HOUR_MS;
  switch (did) {
    case 'discard':
      return { did: 'warmed', on: world.today, limit: back, ends: true, out: true };
    case 'eat-soon':
      return { did: 'warmed', on: world.today, limit: addDays(back, 1) };
    case 'cook-now':
      return { did: 'warmed', on: world.today, limit: back, ends: true };
    case 'refreeze':
      return { did: 'softened', on: world.today, back, days: Math.max(1, Math.ceil(hours / 24)) };
  }
}
