import type { Asking, Narrowing } from './asking';
import { foodWords } from '../foods/foodKey';
import type { StockRow } from './stockRow';

/** What fits one narrowing; of thousands of packages few are called differently, so a name is looked at once. */
function fitting(narrows: Narrowing): (row: StockRow) => boolean {
  if (narrows.by !== 'food') return (row) => fits(row, narrows);
  const { foods, words } = narrows;
  const known = new Map<string, boolean>();
  return ({ foodId, called }) => {
    if (foods.has(foodId)) return true;
    const before = known.get(called);
    if (before !== undefined) return before;
    const labelled = isLabelled(called, words);
    known.set(called, labelled);
    return labelled;
  };
}

function fits(row: StockRow, narrows: Exclude<Narrowing, { by: 'food' }>): boolean {
  switch (narrows.by) {
    case 'kind':
    case 'trait':
      return narrows.foods.has(row.foodId);
    case 'ready':
      return narrows.foods.has(row.foodId) && row.state !== 'frozen' && row.whose === '' && !row.handsOff;
    case 'state':
      return narrows.states.includes(row.state);
    case 'opened':
      return row.opened === narrows.opened;
    case 'place':
      return narrows.zones.has(row.zoneId);
    case 'person':
      return row.whose.toLowerCase() === narrows.whose.toLowerCase();
    case 'handsOff':
      return row.handsOff;
    case 'started':
      return (
        (narrows.from === null || row.startOn >= narrows.from) &&
        (narrows.to === null || row.startOn <= narrows.to)
      );
    case 'due':
      return row.governingDate <= narrows.to;
    case 'amount':
      return (
        row.unit === narrows.unit && (narrows.more ? row.amount > narrows.than : row.amount < narrows.than)
      );
    case 'lacks':
      return narrows.what === 'price' ? row.priceMinor === null : row.hasLabel === false;
    case 'code':
      return row.code === narrows.code;
  }
}

const labelWords = new Map<string, string[]>();

/** True when a label bears all these words, in plain form. */
export function isLabelled(called: string, words: readonly string[]): boolean {
  let own = labelWords.get(called);
  if (!own) {
    own = foodWords(called);
    if (labelWords.size < 20_000) labelWords.set(called, own);
  }
  return words.every((word) => own.includes(word));
}

/** A food beside a kind names one of that kind ("raw meat, venison"), or another thing wanted too ("venison or fish"). */
function namesOneOfKind(food: readonly Narrowing[], kind: readonly Narrowing[]): boolean {
  const kinds = kind.flatMap((one) => ('foods' in one ? [one.foods] : []));
  return food.some((one) => 'foods' in one && [...one.foods].some((id) => kinds.some((ids) => ids.has(id))));
}

/** True for what is asked for: parts of one sort widen (beef or pork), parts of several narrow (frozen, raw meat, older than …), what is excepted is not. */
export function isAsked({ parts }: Asking): (row: StockRow) => boolean {
  const sorts = new Map<string, Narrowing[]>();
  for (const { narrows } of parts.filter(({ not }) => !not)) {
    // Two ages narrow each other: "from May, older than 3 months".
    const sort = narrows.by === 'started' ? `started ${sorts.size}` : narrows.by;
    sorts.set(sort, [...(sorts.get(sort) ?? []), narrows]);
  }
  const [food, kind] = [sorts.get('food'), sorts.get('kind')];
  if (food && kind && !namesOneOfKind(food, kind)) {
    sorts.delete('kind');
    sorts.set('food', [...food, ...kind]);
  }
  const all = [...sorts.values()].map((any) => any.map(fitting));
  const but = parts.filter(({ not }) => not).map(({ narrows }) => fitting(narrows));
  return (row) => all.every((any) => any.some((one) => one(row))) && !but.some((one) => one(row));
}
