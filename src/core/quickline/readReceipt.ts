import { isNoFood } from '../foods/isNoFood';
import { MOST_LINES } from '../model/limits';
import till from './tillWords.json';

/** What a pasted receipt or list holds: lines for the quick line, and what is no food. */
export interface ReadReceipt {
  goods: string[];
  /** "Kitchen roll": paid for, but not for the cold. */
  noFood: string[];
}

/** What a till prints besides goods. */
const NO_GOODS =
  /^(?:(?:sub\s*-?total|total|sum|balance|amount|to pay|cash(?:ier|back)?|card|change|tendered|paid|payment|contactless|vat|tax|mwst|tva|iva|gst|hst|net|gross|thanks?|thank you|receipt|invoice|order|date|time|till|terminal|merchant|auth(?:orisation)?|visa|mastercard|maestro|amex|ec|karte|tap|summe|gesamt|totale|debit|credit|eft|points?|loyalty|member(?:ship)?|items?|no of items|number of items|savings?|you saved?|saved|discounts?|offers?|multi-?buy|any \d|promo(?:tion)?|reduced|refund|rounding|deposit|pfand|coupons?|vouchers?|carrier|bag charge|delivery|service|tip|served by|operator|assistant|store|branch|shop|tel|phone|www|http|open(?:ing)?(?: hours)?|customer|copy|please|welcome|have a|see you)\b|bag\s*(?:\d|$)|\*+|-{2,}|={2,}|_{2,}|#|\d+(?:[.,]\d+)?\s*$)/i;
/** A price off, by an offer or a coupon. */
const PRICE_OFF = /\s-\s*(?:€|£|\$)?\s*\d{1,4}[.,]\d{2}|\d[.,]\d{2}\s*-\s*$/;
const PRICE_AT_END = /\s+(?:€|£|\$)?\s*(\d{1,4})[.,](\d{2})\s*(?:€|£|\$|EUR|GBP|USD)?\s*[A-Z*]?$/i;
const COUNT_FIRST = /^(\d{1,2})\s*(?:x|×|\*|@)\s+(.+)$/i;
const CODE_FIRST = /^\d{5,14}\s+/;
const BULLET = /^\s*(?:[-–•*+]|\[[ xX]?\]|\d{1,2}[.)])\s+/;
/** "2 @ 1.50", "3 x 0,89": how many of the line before it. */
const COUNT_LINE =
  /^(\d{1,2})\s*(?:x|×|\*|@|at)\s*(?:€|£|\$)?\s*\d{1,3}[.,]\d{2}(?:\s*(?:€|£|\$|EUR)?\s*(?:ea|each))?\s*$/i;
/** "0.512 kg @ 3.99/kg": how much of it. */
const WEIGHT_LINE = /^(\d{1,2}[.,]\d{1,3}\s*(?:kg|lb))\s*(?:net\s*)?(?:x|×|\*|@|at)\s*(?:€|£|\$)?\s*\d/i;
const SIZE = /^(\d+(?:[.,]\d+)?)(kg|g|ml|cl|l|ltr|lt|pt|pts|oz|lb)$/i;
const PACK_OF = /^(?:(\d{1,2})(?:pk|pack|s|ct)|x(\d{1,2}))$/i;
/** A share of priced lines from which on a paste is a receipt: what has no price is then no goods. */
const RECEIPT_SHARE = 0.4;

const WORDS: ReadonlyMap<string, string> = new Map(Object.entries(till.words));

/** One word of a till as people write it. */
function plainWord(word: string): string {
  const lower = word.toLowerCase().replace(/[.,]$/, '');
  const [, amount, unit] = SIZE.exec(lower) ?? [];
  if (amount !== undefined && unit !== undefined)
    return `${amount} ${unit === 'ltr' || unit === 'lt' ? 'l' : unit}`;
  const [, pack, times] = PACK_OF.exec(lower) ?? [];
  const count = pack ?? times;
  return count === undefined ? (WORDS.get(lower) ?? lower) : `x${count}`;
}

/** True for a till's own way of writing: capitals throughout. */
const isTills = (line: string): boolean => /\p{Lu}{2}/u.test(line) && !/\p{Ll}{2}/u.test(line);

const written = (goods: string): string =>
  isTills(goods) ? goods.split(' ').map(plainWord).join(' ') : goods;

/** A count in front of a line as the quick line writes it. */
function withCount(goods: string, count: string): string {
  return /\d\s*(?:g|kg|ml|cl|l)\b/i.test(goods)
    ? goods.replace(/(\d+(?:[.,]\d+)?\s*(?:kg|g|ml|cl|l)\b)/i, `${count} × $1`)
    : `${goods} ${count}`;
}

const priceOf = (line: string): string => PRICE_AT_END.exec(line)?.[0] ?? '';

interface Good {
  text: string;
  price: string;
}

function goodOf(line: string): Good {
  const price = PRICE_AT_END.exec(line);
  const goods = written(price ? line.slice(0, price.index).trim() : line);
  const counted = COUNT_FIRST.exec(goods);
  const text = counted ? withCount(counted[2] ?? '', counted[1] ?? '1') : goods;
  return { text, price: price ? ` @ ${price[1]}.${price[2]}` : '' };
}

/**
 * Makes lines for the quick line out of a pasted receipt or shopping list: till abbreviations written out, bullets, shop codes, totals,
 * offers and all that is no goods away, counts, weights and prices as the quick line writes them; what is no food apart.
 */
export function readReceipt(pasted: string): ReadReceipt {
  const lines = pasted
    .split(/\r?\n|;/)
    .map((line) => line.replace(BULLET, '').replace(/\s+/g, ' ').trim().replace(CODE_FIRST, ''))
    .filter((line) => line !== '');
  const told = lines.filter((line) => !NO_GOODS.test(line));
  const priced = told.filter((line) => PRICE_AT_END.test(line)).length;
  const isReceipt = priced >= 3 && priced >= told.length * RECEIPT_SHARE;
  const goods: Good[] = [];
  // Weighed at the till: its name stands on a line without a price.
  let unpriced: string | null = null;
  for (const line of lines.slice(0, 4 * MOST_LINES)) {
    const last = goods.at(-1);
    const [, count] = COUNT_LINE.exec(line) ?? [];
    const [, weight] = WEIGHT_LINE.exec(line) ?? [];
    if (unpriced !== null && weight !== undefined)
      goods.push(goodOf(`${unpriced} ${weight}${priceOf(line)}`));
    else if (last && count !== undefined) last.text = withCount(last.text, count);
    else if (last && weight !== undefined) last.text = `${last.text} ${weight}`;
    else if (/\p{L}{2}/u.test(line) && !NO_GOODS.test(line) && !PRICE_OFF.test(line)) {
      const good = goodOf(line);
      if (!isReceipt || good.price !== '') goods.push(good);
      unpriced = isReceipt && good.price === '' ? line : null;
      continue;
    }
    unpriced = null;
  }
  const isOther = ({ text }: Good): boolean =>
    isNoFood(text.replace(/[\d×@.,]+\s*(?:\p{L}{1,2}\b)?/gu, ' ').trim());
  const tell = (all: Good[]): string[] =>
    all.slice(0, MOST_LINES).map(({ text, price }) => `${text}${price}`);
  return { goods: tell(goods.filter((one) => !isOther(one))), noFood: tell(goods.filter(isOther)) };
}

/** The lines of a pasted list as they stand, without bullets; nothing with a word in it is left out, and no figure is taken for a price. */
export const readList = (pasted: string): string[] =>
  pasted
    .split(/\r?\n/)
    .map((line) => line.replace(BULLET, '').replace(/\s+/g, ' ').trim())
    .filter((line) => /[\p{L}\d]/u.test(line));
