import { addDays, type CalendarDate } from '../../calendar/calendarDate';
import { monthsBefore } from '../../calendar/monthsBefore';
import { sayPlainDate } from '../../calendar/sayDate';
import { foodWords } from '../../foods/foodKey';
import { dateWords } from '../../quickline/dateWords';
import { NUMBER_WORDS } from '../../quickline/quickWords';
import { type Found, sameWords, type Word } from './askedWords';

const UNIT_MONTHS: Readonly<Record<string, number>> = { month: 1, year: 12 };
const UNIT_DAYS: Readonly<Record<string, number>> = { day: 1, week: 7 };
const NUMBERS: Readonly<Record<string, number>> = { ...NUMBER_WORDS, a: 1, an: 1, half: 0.5 };
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];

/** "older than 6 months", "over a year old", "younger than 2 weeks", "older than a week". */
export function readAge(words: readonly Word[], today: CalendarDate): Found | null {
  const [first, second, third, fourth] = words.map(({ plain }) => plain);
  const than = second === 'than';
  const older = first === 'older' || first === 'over' || (first === 'more' && than);
  const younger = first === 'younger' || first === 'newer' || first === 'under' || (first === 'less' && than);
  if (!older && !younger) return null;
  const [figure, unit] = than ? [third, fourth] : [second, third];
  const count = NUMBERS[figure ?? ''] ?? Number(figure);
  const [months, days] = [UNIT_MONTHS[unit ?? ''], UNIT_DAYS[unit ?? '']];
  if (!(count > 0) || count > 1000 || (months === undefined && days === undefined)) return null;
  const on =
    months === undefined
      ? addDays(today, -Math.round(count * (days ?? 1)))
      : count * months < 1
        ? addDays(today, -15)
        : monthsBefore(today, Math.round(count * months));
  const length = than ? 4 : 3;
  return {
    length: length + (words[length]?.plain === 'old' ? 1 : 0),
    says: `${older ? 'older' : 'younger'} than ${figure} ${unit}${count === 1 ? '' : 's'}`,
    narrows: older
      ? { by: 'started', from: null, to: addDays(on, -1) }
      : { by: 'started', from: addDays(on, 1), to: null },
  };
}

/** "from May", "of last June": the last such month. */
export function readMonth(words: readonly Word[], today: CalendarDate): Found | null {
  const lead = words[0]?.plain === 'last' ? 1 : 0;
  const word = words[lead]?.plain ?? '';
  const month = MONTHS.findIndex((name) => name === word || (word.length === 3 && name.startsWith(word)));
  if (month < 0) return null;
  const here = Number(today.slice(5, 7)) - 1;
  const year = Number(today.slice(0, 4)) - (month > here ? 1 : 0);
  const two = `${month + 1}`.padStart(2, '0');
  const from = `${year}-${two}-01`;
  const next = month === 11 ? `${year + 1}-01-01` : `${year}-${`${month + 2}`.padStart(2, '0')}-01`;
  return {
    length: lead + 1,
    says: `from ${sayPlainDate(from).replace(/^\d+ /, '')}`,
    narrows: { by: 'started', from, to: addDays(next, -1) },
  };
}

const CAME = new Set(['bought', 'came', 'new', 'added', 'frozen', 'cooked', 'made']);
const CAME_WHEN: readonly (readonly [words: string, daysBack: number, days: number])[] = [
  ['today', 0, 0],
  ['yesterday', 1, 1],
  ['this week', 7, 7],
  ['in the last week', 7, 7],
  ['last week', 14, 7],
  ['this month', 31, 31],
];

/** "before 3 dec": of a day to come what is due earlier, of one gone by what began to keep earlier. */
function beforeDay(words: readonly Word[], today: CalendarDate, text: string): Found | null {
  const from = words[0]?.to ?? 0;
  const day = dateWords(text.slice(from), today, 'ahead');
  if (!day || 'missing' in day) return null;
  const to = addDays(day.date, -1);
  return {
    length: words.filter((word) => word.to <= from + day.length).length,
    says: `before ${sayPlainDate(day.date)}`,
    narrows: day.date > today ? { by: 'due', to } : { by: 'started', from: null, to },
  };
}

/** "bought today", "cooked this week", "before May": when it began to keep. */
export function readCame(words: readonly Word[], today: CalendarDate, text: string): Found | null {
  if (words[0]?.plain === 'before') {
    const month = readMonth(words.slice(1), today);
    if (!month) return beforeDay(words, today, text);
    if (month.narrows.by !== 'started' || month.narrows.from === null) return null;
    const to = addDays(month.narrows.from, -1);
    return {
      length: month.length + 1,
      says: month.says.replace('from', 'before'),
      narrows: { by: 'started', from: null, to },
    };
  }
  if (!CAME.has(words[0]?.plain ?? '')) return null;
  for (const [says, back, span] of CAME_WHEN) {
    const wanted = foodWords(says);
    if (!sameWords(words.slice(1), wanted)) continue;
    const from = addDays(today, -back);
    return {
      length: 1 + wanted.length,
      says: `since ${says}`.replace('since today', 'came today').replace('since yesterday', 'came yesterday'),
      narrows: { by: 'started', from, to: addDays(from, span) },
    };
  }
  return null;
}

/** What people say of a date, the longer first, how many days on that is, and how it is said back. */
const DUE: readonly (readonly [said: string, days: number, says: string])[] = [
  ...['past its date', 'past their date', 'past', 'expired', 'out of date'].map(
    (said) => [said, -1, 'past'] as const,
  ),
  ...['today', 'tonight'].map((said) => [said, 0, `due ${said}`] as const),
  ['tomorrow', 1, 'due tomorrow'],
  ...[
    'soon',
    'needs eating',
    'need eating',
    'needs using',
    'need using',
    'to use up',
    'use up',
    'must go',
    'going off',
  ].map((said) => [said, 3, 'due soon'] as const),
  ...['this week', 'within a week'].map((said) => [said, 7, `due ${said}`] as const),
  ['this month', 31, 'due this month'],
];
const DUE_LEADS = ['use by', 'best before', 'best by', 'due', 'by', 'expiring', 'expires'].map(foodWords);

/** "past", "due this week", "soon": its date is not later than that. */
export function readDue(words: readonly Word[], today: CalendarDate): Found | null {
  const lead = DUE_LEADS.find((said) => sameWords(words, said))?.length ?? 0;
  const rest = words.slice(lead);
  for (const [said, days, says] of DUE) {
    const wanted = foodWords(said);
    if (!sameWords(rest, wanted)) continue;
    const length = lead + wanted.length;
    return { length, says, narrows: { by: 'due', to: addDays(today, days) } };
  }
  return null;
}
