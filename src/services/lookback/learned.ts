import { daysBetween } from '@/core/calendar/calendarDate';
import { learnedLife, type LifeFinding } from '@/core/lookback/learnedLife';
import type { Food } from '@/core/model/food';
import type { Looked } from '@/core/model/round';
import { NO_WISH, type Wish } from '@/core/model/wish';
import type { StayRow } from '@/store/lookback';
import type { HouseholdContext } from '../household/context';

/** How long a food keeps here, by what was found. */
export interface LearnedView {
  food: string;
  name: string;
  published: number;
  days: number;
  low: number;
  high: number;
  findings: number;
  /** The household's wishes for it as they are. */
  wishes: Wish;
  /** A wish of so many days is worth asking for; `null`: too few findings, or much as published. */
  wish: number | null;
}

const LEAST_FINDINGS = 3;
/** So many findings, and so far from the published figure, before a wish is suggested. */
const WISH_FINDINGS = 8;
const WISH_SHARE = 0.15;
const MOST_LEARNED = 20;

/** What was seen of a food's packages: looks of rounds, and the day it was eaten or spoiled. Chilled and closed ones only. */
export function findingsOf(
  stays: readonly StayRow[],
  looked: ReadonlyMap<string, Looked>,
): Map<string, LifeFinding[]> {
  const foods = new Map<string, LifeFinding[]>();
  for (const stay of stays) {
    const last = looked.get(stay.id);
    if (stay.frozen || (last ? last.frozen || last.opened : stay.opened)) continue;
    const began = last?.began ?? stay.startOn;
    const eaten = stay.goneHow === 'taken' || stay.goneHow === 'cooked' ? stay.goneOn : null;
    const spoiled = stay.reason === 'spoiled' ? stay.goneOn : null;
    const turned = last?.turnedOn ?? spoiled;
    const fine = [last?.fineOn, turned === null ? eaten : null]
      .filter((on) => on != null)
      .sort()
      .at(-1);
    if (fine === undefined && turned === null) continue;
    const finding = {
      fineDays: fine ? Math.max(0, daysBetween(began, fine)) : 0,
      turnedDays: turned === null ? null : Math.max(1, daysBetween(began, turned)),
    };
    if (finding.turnedDays !== null && finding.turnedDays <= finding.fineDays) continue;
    foods.set(stay.foodId, [...(foods.get(stay.foodId) ?? []), finding]);
  }
  return foods;
}

export function learnedOf(
  findings: ReadonlyMap<string, LifeFinding[]>,
  { reference }: HouseholdContext,
): LearnedView[] {
  return [...findings]
    .flatMap(([id, its]): { food: Food; its: LifeFinding[] }[] => {
      const food = reference.plain.get(id);
      // A safety date is not learnt: only what is judged by quality.
      return food && !food.controlled && food.fridgeDaysMax !== null && its.length >= LEAST_FINDINGS
        ? [{ food, its }]
        : [];
    })
    .sort((a, b) => b.its.length - a.its.length)
    .slice(0, MOST_LEARNED)
    .map(({ food, its }) => {
      const published = food.fridgeDaysMax ?? 1;
      const { days, low, high, findings: count } = learnedLife(published, its);
      const wished = reference.wishes.get(food.id)?.fridgeDays ?? null;
      const far = Math.abs(days / published - 1) >= WISH_SHARE;
      const round = (value: number): number => Math.round(value * 10) / 10;
      return {
        ...{ food: food.id, name: food.name, published, findings: count },
        wishes: reference.wishes.get(food.id) ?? NO_WISH,
        ...{ days: round(days), low: round(low), high: round(high) },
        wish:
          far && count >= WISH_FINDINGS && wished !== Math.floor(days) ? Math.max(1, Math.floor(days)) : null,
      };
    });
}
