import { readAmount } from '../../units/readAmount';
import type { QuickDraft, Reader } from '../quickDraft';
import { numberValue } from '../../units/numberValue';

const EACH = new Set(['each', 'ea', 'apiece']);
const LEADS = new Set(['a', 'an', 'per', '/']);

/** What a price is for, where that is not the whole line: "each", "a kilo", "per lb". */
function readPer(
  draft: QuickDraft,
  at: number,
): { of: NonNullable<QuickDraft['priceFor']>; says: string; used: number } | null {
  const first = draft.at(at);
  if (!first) return null;
  if (EACH.has(first.lower)) return { of: 'each', says: 'each', used: 1 };
  const unit = draft.at(at + 1);
  if (!LEADS.has(first.lower) || !unit) return null;
  if (['piece', 'pack', 'packet'].includes(unit.lower)) return { of: 'each', says: 'each', used: 2 };
  // Of a thousand, so that no pound is rounded to whole grams.
  const many = readAmount(1000, unit.lower, draft.vocabulary.units);
  return many ? { of: { ...many, amount: many.amount / 1000 }, says: `a ${unit.lower}`, used: 2 } : null;
}

const CURRENCY_SIGNS = new Set(['€', '£', '$']);

/** "@ 9.60", "€9.60", "9,60 €"; "@ 0.80 each", "@ 12.40 a kilo": of one of them, until the amount is settled. */
export const readPrice: Reader = (draft, token, at) => {
  const next = draft.at(at + 1);
  const signed = token.kind === 'number' && next !== undefined && CURRENCY_SIGNS.has(next.text);
  const led = CURRENCY_SIGNS.has(token.text) && next?.kind === 'number';
  if (token.text !== '@' && !signed && !led) return 0;
  const figureAt = signed ? at : CURRENCY_SIGNS.has(next?.text ?? '') ? at + 2 : at + 1;
  const figure = draft.at(figureAt);
  if (figure?.kind !== 'number') {
    draft.fault(token, token.to, 'A price is a number: @ 9.60.');
    return 1;
  }
  const after = draft.at(figureAt + 1);
  const sign = after && CURRENCY_SIGNS.has(after.text) ? after : undefined;
  const beside = figureAt + (sign ? 2 : 1);
  const per = readPer(draft, beside);
  const last = per ? draft.at(beside + per.used - 1) : (sign ?? figure);
  const minor = Math.round(numberValue(figure.text) * 100);
  if (minor > 100_000_00) draft.fault(token, figure.to, 'That price is too high to be right.');
  else {
    draft.line.priceMinor = minor;
    draft.priceFor = per?.of ?? null;
    draft.part(
      'price',
      token,
      last?.to ?? figure.to,
      `price ${(minor / 100).toFixed(2)}${per ? ` ${per.says}` : ''}`,
    );
  }
  return beside + (per?.used ?? 0) - at;
};
