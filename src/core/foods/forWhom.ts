import type { Food, Marks, Risk } from '../model/food';
import { needsCooking } from './needsCooking';
import type { Caution } from '../model/history';

/** Who eats here, and how careful the household is. */
export interface Eaters {
  marks: Marks;
  caution: Caution;
}

export const RISK_WORDS: Record<Risk, string> = {
  pregnant: 'pregnant',
  'under-one': 'under one year',
  'over-65': 'over 65',
  ill: 'ill',
};

/** Ready-to-eat chilled foods that babies, pregnant, old or ill people should not eat cold (K13). */
const DELICATE_CLASSES = new Set(['lunch-meats', 'soft-cheese', 'smoked-fish']);

/** As much of a food as the rule looks at. */
export type ForWhomFood = Pick<Food, 'notFor' | 'cookingMends'> &
  Partial<Pick<Food, 'outageClass' | 'readiness' | 'group'>>;

/** What a careful household is told of a food that is eaten cold (K13); empty: nothing. */
export const sayDelicate = ({ outageClass }: Pick<ForWhomFood, 'outageClass'>): string =>
  outageClass !== undefined && DELICATE_CLASSES.has(outageClass)
    ? 'Babies, pregnant, old or ill people: only heated through.'
    : '';

const risksOf = ({ notFor = [] }: ForWhomFood, risks: readonly Risk[] = []): Risk[] =>
  risks.filter((risk) => notFor.includes(risk));

/** True when a food is not for somebody (K14). @param cooked it will be cooked through */
export const isNotFor = (food: ForWhomFood, risks: readonly Risk[] | undefined, cooked = false): boolean =>
  !(cooked && food.cookingMends) && risksOf(food, risks).length > 0;

/**
 * Rule K14: whom of the household a food is not for, in words; a careful household that marked nobody is told of everybody it could
 * concern. Source: `not_for` in foods.csv.
 *
 * @param why says why too; a label, which anybody may read, says the name only
 * @returns empty: it is for everybody
 */
export function forWhom(food: ForWhomFood, { marks, caution }: Eaters, why = true): string {
  const { notFor = [], cookingMends = false } = food;
  const unless = cookingMends ? ' unless cooked through' : '';
  const words = (risks: readonly Risk[]): string => risks.map((risk) => RISK_WORDS[risk]).join(' or ');
  const whom = Object.entries(marks).flatMap(([who, risks]) => {
    const its = risksOf(food, risks);
    return its.length === 0 ? [] : [why ? `${who} (${words(its)})` : who];
  });
  if (whom.length > 0) return `Not for ${whom.join(' or ')}${unless}.`;
  if (caution !== 'careful') return '';
  return notFor.length > 0 ? `Not for anyone ${words(notFor)}${unless}.` : sayDelicate(food);
}

/** The same where food is eaten from, in few words: what is cooked anyway is left out, and why it is so. */
export function forWhomServed(food: ForWhomFood, eaters: Eaters): string {
  const { readiness, group, cookingMends } = food;
  const isCooked = readiness !== undefined && group !== undefined && needsCooking({ readiness, group });
  return cookingMends && isCooked ? '' : forWhom(food, eaters, false);
}
