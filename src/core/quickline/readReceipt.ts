import { MOST_LINES } from '../model/limits';
/** Words of a receipt that are no food. */
const NO_GOODS =
  /^(?:(?:sub\s*-?total|total|sum|balance|cash|card|change|vat|tax|thanks?|receipt|date|time|till|visa|debit|credit|items?|savings?|discounts?|deposit|coupons?|carrier)\b|bag\s*(?:\d|$)|\*+|-{2,}|={2,}|#)/i;
const PRICE_AT_END = /\s+(?:€|£|\$)?\s*(\d{1,4})[.,](\d{2})\s*(?:€|£|\$|EUR|GBP)?\s*[A-D*]?$/i;
const COUNT_FIRST = /^(\d{1,2})\s*(?:x|×|\*|@)\s+(.+)$/i;
const CODE_FIRST = /^\d{5,14}\s+/;
const BULLET = /^\s*(?:[-–•*+]|\[[ xX]?\]|\d{1,2}[.)])\s+/;
/**
 * Makes lines for the quick line out of a pasted receipt or shopping list: bullets, shop codes and totals away, a count in
 * front and a price at the end as the quick line writes them. What it cannot read stays as it is.
 */
export function readReceipt(pasted: string): string[] {
  return pasted
    .split(/\r?\n|;/)
    .map((line) => line.replace(BULLET, '').replace(/\s+/g, ' ').trim().replace(CODE_FIRST, ''))
    .filter((line) => /\p{L}{2}/u.test(line) && !NO_GOODS.test(line))
    .slice(0, MOST_LINES)
    .map((line) => {
      const price = PRICE_AT_END.exec(line);
      const goods = price ? line.slice(0, price.index).trim() : line;
      const counted = COUNT_FIRST.exec(goods);
      const told = counted
        ? /\d\s*(?:g|kg|ml|cl|l)\b/i.test(counted[2] ?? '')
          ? (counted[2] ?? '').replace(/(\d+(?:[.,]\d+)?\s*(?:kg|g|ml|cl|l)\b)/i, `${counted[1]} × $1`)
          : `${counted[2]} ${counted[1]}`
        : goods;
      return price ? `${told} @ ${price[1]}.${price[2]}` : told;
    });
}

/** The lines of a pasted list as they stand, without bullets; nothing with a word in it is left out, and no figure is taken for a price. */
export const readList = (pasted: string): string[] =>
  pasted
    .split(/\r?\n/)
    .map((line) => line.replace(BULLET, '').replace(/\s+/g, ' ').trim())
    .filter((line) => /[\p{L}\d]/u.test(line));
