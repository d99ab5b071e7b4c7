import { type CalendarDate } from '../calendar/calendarDate';
import { sayPastDate } from '../calendar/sayDate';
import type { Standing } from './neededPacks';

/** "3", "1.5": packs as people say them. */
const say = (packs: number): string => (Math.round(packs * 2) / 2).toFixed(1).replace(/\.0$/, '');

/** "You have 3, the oldest from May; 1 thaws, 1 is kept for somebody; about 2 a week are eaten." */
export function sayStanding(standing: Standing, today: CalendarDate): string {
  const { here, oldestOn, thawing, promised, passing, perWeek } = standing;
  const have =
    here === 0 || oldestOn === null
      ? 'You have none'
      : `You have ${here}, ${here === 1 ? '' : 'the oldest '}from ${sayPastDate(oldestOn, today)}`;
  const less = [
    thawing > 0 ? `${say(thawing)} thawing` : '',
    promised > 0 ? `${say(promised)} kept for somebody` : '',
    passing > 0 ? `${say(passing)} past before their turn` : '',
  ].filter((words) => words !== '');
  const pace = perWeek >= 0.25 ? `about ${say(perWeek)} a week are eaten` : '';
  return `${[have, less.join(', '), pace].filter((words) => words !== '').join('; ')}.`;
}
