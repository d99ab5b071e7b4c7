import type { NamedFood } from '../foods/findFood';
import { isSoldFrozen } from '../foods/isSoldFrozen';
import { sayAmount } from '../units/sayAmount';
import { QuickDraft } from './quickDraft';
import type { QuickReading, QuickVocabulary } from './quickLine';
import { READERS } from './quickReaders';
import { type QuickToken, quickTokens } from './quickTokens';
import { HAPPENED_WORDS, SHOP_FROZEN } from './quickWords';
import { readFoodWords } from './readFoodWords';

function beginsDetail(token: QuickToken): boolean {
  return (
    token.kind !== 'word' ||
    Object.hasOwn(HAPPENED_WORDS, token.lower) ||
    SHOP_FROZEN.includes(token.lower) ||
    /^(use|best|sell|freeze)(-by|-before)?$/.test(token.lower)
  );
}

function readRest(draft: QuickDraft, from: number): void {
  let at = from;
  while (at < draft.tokens.length) {
    const token = draft.tokens[at];
    if (!token) return;
    let used = token.text === ',' ? 1 : 0;
    for (const reader of READERS) {
      if (used > 0) break;
      used = reader(draft, token, at);
    }
    if (used === 0) {
      draft.fault(token, token.to, `“${token.text}” was not understood.`);
      used = 1;
    }
    at += used;
  }
}

/**
 * What nobody says about freezing: what shops sell frozen was frozen from the start; what else goes to a freezer is frozen
 * today, or the day it came in is said otherwise.
 */
function freezeByPlace(draft: QuickDraft, food: NamedFood | null): void {
  const { line, vocabulary } = draft;
  const zone = vocabulary.zones.find(({ id }) => id === line.zone);
  const start = draft.start ?? { did: 'bought' as const, on: earliest(vocabulary.today, draft) };
  if (food && isSoldFrozen(food) && start.did !== 'cooked') {
    draft.start = { ...start, on: line.frozenOn ?? start.on, frozen: true };
    line.frozenOn = null;
  }
  const frozen = draft.start?.frozen ?? false;
  if (zone?.cold === 'freezer' && line.frozenOn === null && !frozen) line.frozenOn = vocabulary.today;
}

/**
 * Reads one typed line: the food first, then in any order amount, packs, form, wrap, price, place, printed date and
 * what happened. Never throws; what is not understood comes back as faults with the stretch they stand at.
 */
export function parseQuickLine<F extends NamedFood>(
  text: string,
  vocabulary: QuickVocabulary<F>,
): QuickReading {
  const tokens = quickTokens(text);
  const draft = new QuickDraft(text, tokens, vocabulary);
  const first = tokens[0];
  if (!first) return { text, parts: [], faults: [], line: null };
  const read = readFoodWords(vocabulary.foods, tokens, beginsDetail);
  const lastOfFood = tokens[Math.max(0, read.tokens - 1)] ?? first;
  if (!('candidates' in read)) draft.part('food', first, lastOfFood.to, read.food.name);
  else
    draft.fault(
      first,
      lastOfFood.to,
      read.says,
      read.candidates.map((food) => food.name),
    );
  readRest(draft, Math.max(1, read.tokens));
  freezeByPlace(draft, read.food);
  const given = draft.amount ?? { amount: draft.line.packs, unit: 'pc' as const };
  const amount = draft.each ? given.amount * draft.line.packs : given.amount;
  if (read.food !== null && amount < draft.line.packs) {
    draft.fault(
      first,
      text.length,
      `${sayAmount(amount, given.unit)} does not make ${draft.line.packs} packs.`,
    );
  }
  const start = draft.start ?? { did: 'bought' as const, on: earliest(vocabulary.today, draft) };
  if (read.food === null || draft.faults.length > 0)
    return { text, parts: draft.parts, faults: draft.faults, line: null };
  return {
    text,
    parts: draft.parts,
    faults: [],
    line: {
      ...draft.line,
      food: read.food.id,
      called: sayCalled(text.slice(first.from, lastOfFood.to)),
      amount,
      unit: given.unit,
      start,
    },
  };
}

/** The cook's own word with a capital letter, as it stands on the label. */
function sayCalled(typed: string): string {
  return typed.charAt(0).toUpperCase() + typed.slice(1);
}

/** Without a word on when it came in: today, or the day it was opened or frozen if that is longer ago. */
function earliest(today: string, { line }: QuickDraft): string {
  return (
    [today, line.openedOn, line.frozenOn].filter((date): date is string => date !== null).sort()[0] ?? today
  );
}
