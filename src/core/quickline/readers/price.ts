import type { Reader } from '../quickDraft';
import { numberValue } from '../readNumber';

const CURRENCY_SIGNS = new Set(['€', '£', '$']);

/** "@ 9.60", "€9.60", "9,60 €". */
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
  const minor = Math.round(numberValue(figure.text) * 100);
  if (minor > 100_000_00) draft.fault(token, figure.to, 'That price is too high to be right.');
  else {
    draft.line.priceMinor = minor;
    draft.part('price', token, (sign ?? figure).to, `price ${(minor / 100).toFixed(2)}`);
  }
  return figureAt + (sign ? 2 : 1) - at;
};
