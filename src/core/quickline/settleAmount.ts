import pluralize from 'pluralize';
import { MOST_PACKS } from '../model/limits';
import type { Form } from '../model/intakeLine';
import { packCount } from '../portions/packCount';
import { amountFault } from '../units/readAmount';
import { type AmountUnit, sayAmount } from '../units/sayAmount';
import type { QuickDraft, ToldAmount, ToldCount } from './quickDraft';
import { FORM_WORDS, VESSEL_WORDS } from './quickWords';
import { packingOf } from '../portions/packing';

/** How much the line comes to, all packs together. */
export interface SettledAmount {
  amount: number;
  unit: AmountUnit;
  packs: number;
}

/** A count above this is no count of packs or pieces by itself: somebody left out the unit. */
const MOST_BARE = 36;
/** Groups of foods that come by the piece. */
const BY_PIECE = ['fruit', 'vegetable', 'herb', 'egg', 'bread-bake', 'ready-meal', 'pet'];

/** What settling needs to know of the food. */
export interface SettledFood {
  called: string;
  group?: string;
  /** The token it begins at. */
  at?: number;
}

/** True for what people count: lemons, eggs, rolls, "yogurts". */
function isCountable({ called, group }: SettledFood): boolean {
  const last = called.trim().split(/\s+/).at(-1) ?? '';
  return (pluralize.isPlural(last) && !pluralize.isSingular(last)) || BY_PIECE.includes(group ?? '');
}

/** Asks what a bare number counts; never guesses. */
function askUnit(draft: QuickDraft, { n, first, to }: ToldCount, group: string | undefined): null {
  const liquid = group === 'drink' || group === 'dairy' || group === 'soup-sauce';
  const small = n < 10;
  const units = liquid
    ? small
      ? ['l', 'pieces', 'ml']
      : ['ml', 'pieces', 'g']
    : small
      ? ['pieces', 'kg', 'g']
      : ['g', 'pieces', 'ml'];
  draft.fault(
    first,
    to,
    `${n} what? A number alone is not guessed.`,
    units.map((unit) => `${n} ${unit}`),
  );
  return null;
}

/** What a count of vessels says of their wrap or form: jars, tubs, logs. */
function dress(draft: QuickDraft, { word }: ToldCount): void {
  const wrap = Object.hasOwn(VESSEL_WORDS, word) ? VESSEL_WORDS[word] : null;
  const form: Form | undefined = Object.hasOwn(FORM_WORDS, word) ? FORM_WORDS[word] : undefined;
  if (wrap && draft.line.wrap === null) draft.line.wrap = wrap;
  if (form && draft.line.form === null && word !== 'pot' && word !== 'cube') draft.line.form = form;
}

const pieces = (n: number): string => (n === 1 ? '1 piece' : n === 0.5 ? 'half of one' : `${n} pieces`);

/** Pieces or packs without any weight. */
function counted(draft: QuickDraft, told: ToldCount, food: SettledFood): SettledAmount | null {
  const { n, kind, first, to, word } = told;
  if (kind === 'cubes') {
    const { cavityMl } = packingOf('cubes') as { cavityMl: number };
    draft.line.form = 'cubes';
    draft.part('amount', first, to, `${n} cubes of ${cavityMl} ml, the tray’s cavity`);
    return { amount: Math.round(n * cavityMl), unit: 'ml', packs: 1 };
  }
  if (kind === 'vessel' && n >= 1) {
    dress(draft, told);
    draft.part('packs', first, to, n === 1 ? `one ${word}` : `${n} ${word}`);
    return { amount: n, unit: 'pc', packs: n };
  }
  if (kind === 'bare') {
    const before = (food.at ?? 0) > told.at;
    const asks = n > MOST_BARE ? true : !before && !isCountable(food);
    if (asks) return askUnit(draft, told, food.group);
  }
  if (!Number.isInteger(n)) draft.notes.push(n === 0.5 ? `half of one` : `${n} pieces`);
  draft.part('amount', first, to, pieces(n));
  return { amount: Math.ceil(n), unit: 'pc', packs: 1 };
}

/** A weight beside a count: each, in all, or asked. */
function weighed(
  draft: QuickDraft,
  amount: ToldAmount,
  told: ToldCount,
  food: SettledFood,
): SettledAmount | null {
  const { n, kind, first, to, word } = told;
  const says = sayAmount(amount.amount, amount.unit);
  if (kind === 'cubes') {
    draft.line.form = 'cubes';
    draft.part('packs', first, to, `${n} cubes`);
    draft.part(
      'amount',
      amount.first,
      amount.to,
      draft.each || n * amount.amount <= 5000 ? `${says} each` : says,
    );
    return { amount: Math.round(n * amount.amount), unit: amount.unit, packs: 1 };
  }
  if (kind === 'vessel' && !Number.isInteger(n)) {
    // "half a bag of peas 400 g": the weight is what there is.
    draft.part('packs', first, to, `${n} ${word}`);
    draft.part('amount', amount.first, amount.to, says);
    return { amount: amount.amount, unit: amount.unit, packs: 1 };
  }
  const within = draft.tokens[told.at - 1]?.lower === 'in' || draft.tokens[told.at - 1]?.lower === 'into';
  const packed = kind === 'times' || kind === 'vessel';
  const follows = told.at < amount.at;
  const natural = isCountable(food) || kind === 'piece';
  if (packed && within && !draft.each) {
    dress(draft, told);
    draft.part('packs', first, to, `in ${n} packs`);
    draft.part('amount', amount.first, amount.to, says);
    return { amount: amount.amount, unit: amount.unit, packs: n };
  }
  if (kind === 'bare' && natural && !draft.each) {
    draft.notes.push(pieces(n));
    draft.part('packs', first, to, pieces(n));
    draft.part('amount', amount.first, amount.to, `${says} in all`);
    return { amount: amount.amount, unit: amount.unit, packs: 1 };
  }
  if (kind === 'piece') {
    const total = draft.each ? Math.round(amount.amount * n) : amount.amount;
    draft.notes.push(word === '' ? pieces(n) : `${n} ${word}`);
    draft.part('packs', first, to, word === '' ? pieces(n) : `${n} ${word}`);
    draft.part('amount', amount.first, amount.to, draft.each ? `${says} each` : `${says} in all`);
    return { amount: total, unit: amount.unit, packs: 1 };
  }
  if (draft.each || kind === 'times' || (kind === 'vessel' && follows)) {
    dress(draft, told);
    draft.part('packs', first, to, n === 1 ? 'one pack' : `${n} packs`);
    draft.part('amount', amount.first, amount.to, n === 1 ? says : `${says} each`);
    return { amount: Math.round(amount.amount * n), unit: amount.unit, packs: n };
  }
  if (!Number.isInteger(n)) {
    draft.fault(first, to, `${n} what? A price is written with @ before it.`, [`@ ${n.toFixed(2)}`]);
    return null;
  }
  draft.fault(first, to, `${says} each, or ${says} in all?`, [`× ${n} each`, `/ ${n}`]);
  return null;
}

/** How the whole is split, once it is known how much it is. */
function splitUp(draft: QuickDraft, settled: SettledAmount, food: SettledFood): SettledAmount {
  const { split } = draft;
  if (!split) return settled;
  if ('packs' in split) {
    // "6 jars … / 3" is no second count: the slash is the later word.
    return { ...settled, packs: split.packs };
  }
  const total = settled.amount;
  const packs =
    'people' in split
      ? packCount({ eaters: Math.max(1, split.people), appetite: 'usual' }, total, food.group ?? '')
      : packCount({ portionG: split.size }, total, '');
  return { ...settled, packs: Math.min(MOST_PACKS, packs) };
}

/**
 * Puts the amounts and counts of a line together: "5 boxes of broth 300 ml each" is 1.5 l in five, "250 g x2" half a kilo in
 * two, "3 lemons" three pieces in one package. A bare number is never guessed, and what may be each or in all is asked.
 *
 * @returns `null` when something had to be asked
 */
export function settleAmount(draft: QuickDraft, food: SettledFood): SettledAmount | null {
  const { amounts, counts } = draft;
  const [amount, second] = amounts;
  if (second) {
    draft.fault(second.first, second.to, 'A second amount: which one is right?');
    return null;
  }
  const told = counts.find(({ kind }) => kind !== 'bare') ?? counts[0];
  const extra = counts.find((other) => other !== told);
  let settled: SettledAmount | null;
  if (amount && told) settled = weighed(draft, amount, told, food);
  else if (amount) {
    draft.part('amount', amount.first, amount.to, sayAmount(amount.amount, amount.unit));
    settled = { amount: amount.amount, unit: amount.unit, packs: 1 };
  } else if (told) settled = counted(draft, told, food);
  else {
    const packs = draft.split && 'packs' in draft.split ? draft.split.packs : 1;
    settled = { amount: packs, unit: 'pc', packs };
  }
  if (!settled) return null;
  if (extra) {
    // "2 boxes of 6 eggs", "3 x 4 fillets", "a pack of 8 sausages": packs of pieces.
    if (settled.unit === 'pc' && !amount && (settled.packs > 1 || told?.kind === 'vessel')) {
      draft.part('amount', extra.first, extra.to, `${extra.n} each`);
      settled = { ...settled, amount: Math.ceil(settled.packs * extra.n) };
    } else if (settled.unit === 'pc' && told?.kind === 'times') {
      draft.part('amount', extra.first, extra.to, `${extra.n} each`);
      settled = { amount: Math.ceil(told.n * extra.n), unit: 'pc', packs: told.n };
    } else {
      draft.fault(extra.first, extra.to, 'A second amount: which one is right?');
      return null;
    }
  }
  const whole = splitUp(draft, settled, food);
  const fault = amountFault(whole.amount, whole.unit);
  const at = amount ?? told;
  if (at && (fault || whole.packs > MOST_PACKS || !Number.isInteger(whole.packs))) {
    draft.fault(at.first, at.to, fault ?? `Packs are whole numbers from 1 to ${MOST_PACKS}.`);
    return null;
  }
  return whole;
}
