import type { CalendarDate } from '../calendar/calendarDate';
import type { HistoryEvent } from '../model/history';
import type { HaulLine } from '../model/haul';

/**
 * What happened to a line of a haul before it is packed, in order of days.
 *
 * @param minutes out of the cold by the clock so far (K10)
 * @param hot above 32 °C where it stood
 */
export function lineHistory(
  { start, openedOn, preparation }: Pick<HaulLine, 'start' | 'openedOn' | 'preparation'>,
  today: CalendarDate,
  minutes: number,
  hot: boolean,
): HistoryEvent[] {
  const history: HistoryEvent[] = [{ ...start }];
  if (openedOn !== null) history.push({ did: 'opened', on: openedOn });
  const washed = preparation.find((id) => id.startsWith('washed'));
  if (washed) history.push({ did: 'washed', on: today, dried: washed === 'washed-dried' });
  if (minutes >= 1) history.push({ did: 'counter', on: today, minutes, ...(hot ? { hot } : {}) });
  return history;
}
