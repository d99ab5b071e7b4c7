import { MOST_PACKS } from '../model/limits';
import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { isStart, START_WORDS } from '../keeping/startDates';
import { type Form } from '../model/intakeLine';
import { amountFault, isUnit, readAmount } from '../units/readAmount';
import { sayAmount } from '../units/sayAmount';
import { dateWords } from './dateWords';
import type { QuickDraft } from './quickDraft';
import type { QuickToken } from './quickTokens';
import { FORM_WORDS, HAPPENED_WORDS, PRINTED_WORDS, SHOP_FROZEN, WRAP_WORDS } from './quickWords';
import { readPlaceWords } from './readPlaceWords';

const CURRENCY_SIGNS = new Set(['€', '£', '$']);

/** Takes what it understands at a token; answers how many tokens it used, 0 for none of its own. */
type Reader = (draft: QuickDraft, token: QuickToken, at: number) => number;

function numberOf(token: QuickToken | undefined): number {
  return Number(token?.text.replace(',', '.'));
}

const readPacks: Reader = (draft, token, at) => {
  if (token.text !== '/' && token.text !== '×') return 0;
  const count = draft.tokens[at + 1];
  if (count?.kind !== 'number') {
    draft.fault(token, token.to, 'How many packs? Write a number after it.');
    return 1;
  }
  const packs = numberOf(count);
  if (!Number.isInteger(packs) || packs < 1)
    draft.fault(token, count.to, 'Packs are counted in whole numbers from 1.');
  else if (packs > MOST_PACKS)
    draft.fault(token, count.to, `${packs} packs in one line: ${MOST_PACKS} at most.`);
  else {
    draft.line.packs = packs;
    draft.part('packs', token, count.to, packs === 1 ? 'one pack' : `${packs} packs`);
  }
  return 2;
};

const readPrice: Reader = (draft, token, at) => {
  const next = draft.tokens[at + 1];
  const signed = token.kind === 'number' && next !== undefined && CURRENCY_SIGNS.has(next.text);
  const led = CURRENCY_SIGNS.has(token.text) && next?.kind === 'number';
  if (token.text !== '@' && !signed && !led) return 0;
  const figureAt = signed ? at : CURRENCY_SIGNS.has(next?.text ?? '') ? at + 2 : at + 1;
  const figure = draft.tokens[figureAt];
  if (figure?.kind !== 'number') {
    draft.fault(token, token.to, 'A price is a number: @ 9.60.');
    return 1;
  }
  const after = draft.tokens[figureAt + 1];
  const sign = after && CURRENCY_SIGNS.has(after.text) ? after : undefined;
  const minor = Math.round(numberOf(figure) * 100);
  if (minor > 100_000_00) draft.fault(token, figure.to, 'That price is too high to be right.');
  else {
    draft.line.priceMinor = minor;
    draft.part('price', token, (sign ?? figure).to, `price ${(minor / 100).toFixed(2)}`);
  }
  return figureAt + (sign ? 2 : 1) - at;
};

const readAmountWords: Reader = (draft, token, at) => {
  const negative = token.text === '-' || token.text === '−';
  const figureAt = negative ? at + 1 : at;
  const figure = draft.tokens[figureAt];
  if (figure?.kind !== 'number') return 0;
  const times = draft.tokens[figureAt + 1];
  const eachFigure = draft.tokens[figureAt + 2];
  if (!negative && (times?.lower === 'x' || times?.text === '×') && eachFigure?.kind === 'number') {
    const packs = numberOf(figure);
    if (!Number.isInteger(packs) || packs < 1 || packs > MOST_PACKS) {
      draft.fault(figure, figure.to, `Packs are whole numbers from 1 to ${MOST_PACKS}.`);
    } else {
      draft.line.packs = packs;
      draft.each = true;
      draft.part('packs', figure, times.to, `${packs} packs, each`);
    }
    return 2;
  }
  const unitToken = draft.tokens[figureAt + 1];
  const unit = unitToken && unitToken.kind === 'word' && isUnit(unitToken.lower) ? unitToken : null;
  const to = (unit ?? figure).to;
  const read = readAmount(numberOf(figure) * (negative ? -1 : 1), unit?.lower ?? null);
  const used = (unit ? 2 : 1) + (negative ? 1 : 0);
  const fault = read && amountFault(read.amount, read.unit);
  if (!read || fault) draft.fault(token, to, fault ?? 'That is no amount.');
  else if (draft.amount) draft.fault(token, to, 'A second amount: which one is right?');
  else {
    draft.amount = read;
    draft.part(
      'amount',
      token,
      to,
      read.unit === 'pc' ? `${read.amount} pieces` : sayAmount(read.amount, read.unit),
    );
  }
  return used;
};

const readPlace: Reader = (draft, token, at) => {
  if (token.text !== '>' && token.text !== '→') return 0;
  const words: QuickToken[] = [];
  for (let next = at + 1; next < draft.tokens.length; next++) {
    const word = draft.tokens[next];
    if (!word || word.kind === 'mark') break;
    words.push(word);
  }
  const read = readPlaceWords(
    words.map((word) => word.text),
    draft.vocabulary.zones,
  );
  const to = words[read.words - 1]?.to ?? token.to;
  if ('zone' in read) {
    draft.line.zone = read.zone?.id ?? null;
    draft.part(
      'place',
      token,
      to,
      read.zone ? `to ${read.zone.name}, ${read.zone.appliance}` : 'stays on the counter',
    );
  } else {
    const names = read.candidates.map((zone) => `> ${zone.name} ${zone.appliance}`);
    draft.fault(
      token,
      to,
      words.length === 0
        ? 'Which zone?'
        : names.length > 0
          ? 'Several zones are called that.'
          : 'There is no such zone.',
      names.slice(0, 6),
    );
  }
  return 1 + read.words;
};

const readPrinted: Reader = (draft, token, at) => {
  const second = draft.tokens[at + 1];
  const kind =
    PRINTED_WORDS[`${token.lower} ${second?.lower ?? ''}`] ?? PRINTED_WORDS[token.lower.replace('-', ' ')];
  if (!kind) return 0;
  const lead = token.lower.includes('-') ? token : (second ?? token);
  const used = lead === token ? 1 : 2;
  const read = dateWords(draft.text.slice(lead.to), draft.vocabulary.today, 'ahead');
  if (!read || 'missing' in read) {
    const to = lead.to + (read?.length ?? 0);
    draft.fault(
      token,
      to,
      read ? 'That date does not exist.' : 'Which date is printed? Write it after: use by 3 dec.',
    );
    return used + draft.countTo(at + used, to);
  }
  const to = lead.to + read.length;
  draft.line.printed = { kind, date: read.date };
  const away = sayAway(read.date, draft.vocabulary.today);
  draft.part('printed', token, to, `printed ${kind} ${sayPlainDate(read.date)}, ${away}`);
  return used + draft.countTo(at + used, to);
};

/** "6 days ago", "in 3 days", for a day that is not today. */
function sayAway(date: CalendarDate, today: CalendarDate): string {
  const days = daysBetween(today, date);
  if (days === 0) return 'today';
  const count = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return days < 0 ? `${count} ago` : `in ${count}`;
}

/** A day on which something happened, read behind the word for it; one still to come is a fault. */
function readDay(
  draft: QuickDraft,
  token: QuickToken,
  from: number,
): { on: CalendarDate; to: number; missing: boolean } {
  const { today } = draft.vocabulary;
  const read = dateWords(draft.text.slice(from), today, 'past');
  const to = from + (read?.length ?? 0);
  const on = read && 'date' in read ? read.date : today;
  const missing = read !== null && 'missing' in read;
  if (missing) draft.fault(token, to, 'That date does not exist.');
  else if (on > today) draft.fault(token, to, `${sayPlainDate(on)} is still to come: not yet.`);
  return { on, to, missing: missing || on > today };
}

/** "bought frozen mon", "shop-frozen": from a freezer into ours. */
const readBoughtFrozen: Reader = (draft, token, at) => {
  const next = draft.tokens[at + 1];
  const joined = SHOP_FROZEN.includes(token.lower);
  const apart = next?.lower === 'frozen' && (token.lower === 'bought' || token.lower === 'given');
  if (!joined && !apart) return 0;
  const last = joined ? token : (next ?? token);
  const { on, to, missing } = readDay(draft, token, last.to);
  const used = joined ? 1 : 2;
  if (!missing) {
    draft.start = { did: token.lower === 'given' ? 'given' : 'bought', on, frozen: true };
    draft.part('happened', token, to, `bought frozen ${sayPlainDate(on)}`);
  }
  return used + draft.countTo(at + used, to);
};

const readHappened: Reader = (draft, token, at) => {
  const did = Object.hasOwn(HAPPENED_WORDS, token.lower) ? HAPPENED_WORDS[token.lower] : undefined;
  const { today } = draft.vocabulary;
  if (!did) {
    const bare = token.kind === 'word' ? dateWords(draft.text.slice(token.from), today, 'past') : null;
    if (!bare || 'missing' in bare || draft.start) return 0;
    const { on, to, missing } = readDay(draft, token, token.from);
    if (!missing) {
      draft.start = { did: 'bought', on };
      draft.part('happened', token, to, `bought ${sayPlainDate(on)}`);
    }
    return draft.countTo(at, to);
  }
  const { on, to, missing } = readDay(draft, token, token.to);
  if (!missing) {
    if (isStart(did)) draft.start = { did, on };
    else if (did === 'opened') draft.line.openedOn = on;
    else draft.line.frozenOn = on;
    draft.part('happened', token, to, `${isStart(did) ? START_WORDS[did] : did} ${sayPlainDate(on)}`);
  }
  return 1 + draft.countTo(at + 1, to);
};

const readForm: Reader = (draft, token) => {
  const wrap = Object.hasOwn(WRAP_WORDS, token.lower) ? WRAP_WORDS[token.lower] : undefined;
  const form: Form | undefined = Object.hasOwn(FORM_WORDS, token.lower) ? FORM_WORDS[token.lower] : undefined;
  if (wrap) {
    draft.line.wrap = wrap;
    draft.part('wrap', token, token.to, `in ${wrap.replace('-', ' ')}`);
  } else if (form) {
    draft.line.form = form;
    draft.part('form', token, token.to, form);
  } else if (token.lower === 'raw' || token.lower === 'unblanched' || token.lower === 'blanched') {
    draft.line.blanched = token.lower === 'blanched';
    draft.part('form', token, token.to, draft.line.blanched ? 'blanched' : 'not blanched');
  } else return 0;
  return 1;
};

/** In the order in which they are tried; the first that takes a token keeps it. */
export const READERS: readonly Reader[] = [
  readPrinted,
  readPrice,
  readPacks,
  readPlace,
  readBoughtFrozen,
  readHappened,
  readAmountWords,
  readForm,
];
