import { type AmountUnit, AMOUNT_UNITS } from '@/core/units/sayAmount';
import { isCalendarDate } from '@/core/calendar/calendarDate';
import { codeNumber } from '@/core/labels/codeNumber';
import { FORMS, type IntakeLine } from '@/core/model/intakeLine';
import { type HistoryEvent, PRINTED_KINDS, type PrintedDate, STARTS, WRAPS } from '@/core/model/history';
import { FURTHEST_CODE, MAX_TABLE, MOST_NOTE } from '@/core/model/limits';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import type { QuickVocabulary } from '@/core/quickline/quickLine';
import type { ColumnMeaning, Mapping } from './mapColumns';

/** A row of a table as a line of a haul, or what is wrong with it. */
export type RowLine =
  | {
      line: IntakeLine;
      /** The date it had where the table was written: here it gets no later one. */
      until: PrintedDate | null;
      /** It was not for eating any more there, so it is not here. */
      condemned: boolean;
      fault: null;
    }
  | { line: null; fault: string };

/** What the cells of a row tell, by what their columns mean. */
export type Told = Partial<Record<ColumnMeaning, string>>;

const among = <Word extends string>(words: readonly Word[], told: string | undefined): Word | null =>
  words.find((word) => word === told) ?? null;
const day = (told: string | undefined): string | null => (told && isCalendarDate(told) ? told : null);
const fault = (says: string): RowLine => ({ line: null, fault: says });

/** A zone by its name and its appliance’s; `undefined`: there is none, `null`: none is told. */
function zoneOf({ zone, appliance }: Told, vocabulary: QuickVocabulary): string | null | undefined {
  if (!zone) return null;
  const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();
  return vocabulary.zones.find(
    (one) => same(one.name, zone) && (!appliance || same(one.appliance, appliance)),
  )?.id;
}

/** A price in minor units; `undefined`: that is none. */
function priceOf(told: string | undefined): number | null | undefined {
  if (!told) return null;
  const plain = told.replaceAll(/[^\d.,-]/g, '').replace(',', '.');
  const minor = Math.round(Number(plain) * 100);
  return plain !== '' && Number.isFinite(minor) && minor >= 0 && minor <= 10_000_000 ? minor : undefined;
}

/**
 * All that happened to a package, as its row has it.
 *
 * @returns `null`: the row tells none, `undefined`: it cannot be read, or another cell of the row says otherwise
 */
function historyOf(told: Told): HistoryEvent[] | null | undefined {
  if (!told.history) return null;
  try {
    const history = JSON.parse(told.history) as HistoryEvent[];
    const frozenOn = history.find(({ did }) => did === 'frozen')?.on;
    return frozenOn === (day(told.frozen_on) ?? undefined) ? history : undefined;
  } catch {
    return undefined;
  }
}

/** An instant as it is stored, ISO 8601 UTC to the millisecond; `undefined`: the cell tells none. */
function instant(told: string | undefined): string | undefined {
  const ms = /^\d{4}-\d\d-\d\dT/.test(told ?? '') ? Date.parse(told ?? '') : Number.NaN;
  return Number.isNaN(ms) ? undefined : new Date(ms).toISOString();
}

/** What a row tells that a cook never does of a line: its label, its pot, since when it stands out. */
function keptOf(told: Told, packs: number): Pick<IntakeLine, 'code' | 'cap' | 'counterSince'> {
  const code = packs === 1 ? told.code?.toUpperCase() : undefined;
  const cap = /^[1-9]\d*$/.test(told.cap ?? '') ? Number(told.cap) : undefined;
  const counterSince = told.zone ? undefined : instant(told.counter_since);
  return {
    ...(code !== undefined && (codeNumber(code) ?? FURTHEST_CODE) < FURTHEST_CODE ? { code } : {}),
    ...(cap === undefined ? {} : { cap }),
    ...(counterSince === undefined ? {} : { counterSince }),
  };
}

/** A row as this kitchen writes it: every cell says what it means. */
function ownLine(told: Told, vocabulary: QuickVocabulary): RowLine | null {
  const unit = among<AmountUnit>(AMOUNT_UNITS, told.unit);
  const did = among(STARTS, told.did);
  const start = day(told.start);
  if (!told.food || !unit || !did || !start || !/^\d+$/.test(told.amount ?? '')) return null;
  const zone = zoneOf(told, vocabulary);
  if (zone === undefined) return fault(`There is no zone “${told.zone}” in “${told.appliance ?? ''}” here.`);
  const printed = among(PRINTED_KINDS, told.printed);
  const printedDate = day(told.printed_date);
  const priceMinor = priceOf(told.price);
  if (priceMinor === undefined) return fault(`“${told.price}” is no price.`);
  const until = day(told.until);
  const history = historyOf(told);
  const packs = Math.max(1, Number(told.packs ?? '1') || 1);
  if (history === undefined)
    return fault('Its history cannot be read, or says otherwise than its other cells do.');
  return {
    fault: null,
    condemned: told.not_for_eating === 'yes',
    until: until ? { kind: told.until_kind === 'use-by' ? 'use-by' : 'best-before', date: until } : null,
    line: {
      food: told.food,
      called: told.name ?? '',
      amount: Number(told.amount),
      unit,
      packs,
      form: among(FORMS, told.form),
      wrap: among(WRAPS, told.wrap),
      priceMinor,
      zone,
      printed: printed && printedDate ? { kind: printed, date: printedDate } : null,
      start: { did, on: start, ...(told.came_frozen === 'yes' ? { frozen: true } : {}) },
      openedOn: day(told.opened_on),
      frozenOn: told.came_frozen === 'yes' ? null : day(told.frozen_on),
      blanched: told.blanched === 'yes',
      note: (told.note ?? '').slice(0, MOST_NOTE),
      ...(history ? { history } : {}),
      ...keptOf(told, packs),
    },
  };
}

const YES = /^(yes|y|x|true|1|✓|ja|oui)$/i;

/** A row of a paper list, said as a cook says it: the line that is typed reads the words of its cells. */
function spoken(told: Told): string {
  const packs = told.packs && /^\d+$/.test(told.packs) ? ` x${told.packs}` : (told.packs ?? '');
  const hasAmount = /\d\s*(g|kg|ml|l|oz|lb|pc)\b/i.test(told.name ?? '');
  const amount = told.amount
    ? hasAmount && /^\d+$/.test(told.amount)
      ? ` x${told.amount}`
      : ` ${told.amount}`
    : '';
  const unit = told.amount && /^[\d.,\s/]+$/.test(told.amount) && told.unit ? ` ${told.unit}` : '';
  const frozen = told.frozen_on ? (YES.test(told.frozen_on) ? ' frozen' : ` frozen ${told.frozen_on}`) : '';
  const start = told.start ? ` ${among(STARTS, told.did) ?? (frozen ? '' : 'bought')} ${told.start}` : '';
  const printed = told.printed_date
    ? ` ${told.printed?.replace('-', ' ') ?? 'use by'} ${told.printed_date}`
    : '';
  const place = [told.zone, told.appliance]
    .filter((part) => part)
    .join(' ')
    .replaceAll(',', ' ');
  return [
    told.name ?? told.food ?? '',
    amount,
    unit,
    packs && ` ${packs.trim()}`,
    told.wrap ? ` ${told.wrap}` : '',
    frozen === '' ? start : frozen,
    printed,
    place === '' ? '' : ` > ${place}`,
  ].join('');
}

/** The cells of a row by what their columns tell. */
export function toldIn(cells: readonly string[], mapping: Mapping): Told {
  const told: Told = {};
  mapping.forEach((meaning, at) => {
    const cell = cells[at]?.replaceAll(/\s+/g, ' ').trim();
    if (meaning && cell) told[meaning] = cell;
  });
  return told;
}

/** Reads a row of a table: what its cells tell. */
export function rowLine(told: Told, vocabulary: QuickVocabulary): RowLine {
  if (!told.name && !told.food) return fault('No food is named.');
  const own = ownLine(told, vocabulary);
  if (own) return own;
  // Read as words, it would forget what happened to it.
  if (told.history?.startsWith('[{'))
    return fault('Its dates are not as stock.csv writes them, like 2026-10-28: a spreadsheet changed them.');
  const words = spoken(told);
  if (words.length > MAX_TABLE.spokenLength)
    return fault(`Its cells have ${words.length} characters; ${MAX_TABLE.spokenLength} can be read.`);
  const { line, faults } = parseQuickLine(words, vocabulary);
  if (!line) {
    const [first] = faults;
    const like = first?.candidates.slice(0, 3).join(', ') ?? '';
    const place = [told.zone, told.appliance].filter((part) => part).join(', ');
    const which = first?.says.includes('zone') && place !== '' ? ` (${place})` : '';
    return fault(`${first?.says ?? 'That is not understood.'}${which}${like === '' ? '' : ` ${like}?`}`);
  }
  const priceMinor = priceOf(told.price);
  if (priceMinor === undefined) return fault(`“${told.price}” is no price.`);
  const zone = vocabulary.zones.find(({ id }) => id === line.zone);
  // "Put in" a freezer is the day it was frozen.
  if (zone?.cold === 'freezer' && told.start && !told.frozen_on && line.frozenOn !== null)
    line.frozenOn = line.start.on;
  const note = (told.note ?? '').replaceAll(/[<>]/g, '').slice(0, MOST_NOTE);
  return {
    fault: null,
    until: null,
    condemned: YES.test(told.not_for_eating ?? ''),
    line: { ...line, priceMinor: priceMinor ?? line.priceMinor, note: note || line.note },
  };
}
