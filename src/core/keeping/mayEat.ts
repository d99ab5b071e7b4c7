import type { CalendarDate } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { type Eaters, type ForWhomFood, forWhomServed } from '../foods/forWhom';
import type { Food } from '../model/food';
import type { OutageVerdict } from '../model/outageClass';
import type { Package } from '../model/package';
import { countedMinutes, minutesBetween, MOST_COUNTER_MINUTES } from './counterMinutes';

/** What may be done with something now, from the mildest: eaten, looked at first, asked about at the outage desk, thrown out. */
export const EATABLE = ['eat', 'look-first', 'ask', 'discard'] as const;
export type Eatable = (typeof EATABLE)[number];

/** As much of a package as the answer needs. */
export interface Edible extends Pick<
  Package,
  'id' | 'foodId' | 'state' | 'useBy' | 'bestBy' | 'condemned' | 'counterMinutes' | 'counterSince'
> {
  opened: boolean;
  spoils?: boolean;
}

/** What a power cut that is not decided yet says of a package. */
export interface OpenVerdict {
  verdict: OutageVerdict;
  says: string;
}

/** When and where it is asked. */
export interface EatingCase {
  today: CalendarDate;
  /** ISO 8601 UTC. */
  at: string;
  /** Above 32 °C where things stand out of the cold. */
  hot: boolean;
  food: Pick<Food, 'controlled' | 'counterDaysMax' | 'warmHours'> & ForWhomFood;
  /** Who eats here; left out: whom it is for is not asked. */
  eaters?: Eaters;
  /** Of a cut that it went through and that nobody decided (O13); `null`: none. */
  cut: OpenVerdict | null;
}

/** The answer, with its reason where it is not simply eaten. */
export interface EatingAnswer {
  may: Eatable;
  rule: string;
  says: string;
  /** Whom of the household it is not for, in words (K14); empty: it is for everybody. */
  notFor: string;
}

/** Minutes out of the cold that are left, the running stay counted in; `null`: none are counted for this food. */
function minutesLeft(found: Edible, { at, hot, food }: EatingCase): number | null {
  const most =
    food.controlled || found.spoils
      ? MOST_COUNTER_MINUTES
      : food.counterDaysMax === null &&
          food.warmHours !== undefined &&
          found.opened &&
          found.state !== 'frozen'
        ? food.warmHours * 60
        : null;
  if (most === null) return null;
  const { counterSince, counterMinutes, state } = found;
  const stay = counterSince === null ? 0 : countedMinutes(state, minutesBetween(counterSince, at), hot);
  return most - counterMinutes - stay;
}

/**
 * May it be eaten now (L7)? The one answer for screens, papers, suggestions and commands: its dates, the minutes of the running stay, what was
 * found, and a power cut that is not decided.
 */
export const mayEat = (found: Edible, asked: EatingCase): EatingAnswer => ({
  ...answerFor(found, asked),
  notFor: asked.eaters ? forWhomServed(asked.food, asked.eaters) : '',
});

function answerFor(found: Edible, asked: EatingCase): Omit<EatingAnswer, 'notFor'> {
  const { today, cut } = asked;
  if (found.condemned)
    return { may: 'discard', rule: 'K10', says: 'it was found bad, or stood out of the cold for too long' };
  if (found.useBy !== null && found.useBy < today)
    return { may: 'discard', rule: 'K2', says: `it is past its use by, ${sayPlainDate(found.useBy)}` };
  const left = minutesLeft(found, asked);
  if (left !== null && left <= 0 && found.counterSince !== null)
    return { may: 'discard', rule: 'K10', says: 'it stood out of the cold for too long' };
  if (cut?.verdict === 'discard')
    return { may: 'discard', rule: 'O13', says: 'the power cut was too long for it' };
  if (cut && cut.verdict !== 'keep')
    return {
      may: 'ask',
      rule: 'O13',
      says: 'it went through a power cut: decide it at the outage desk first',
    };
  if (found.bestBy < today)
    return { may: 'look-first', rule: 'K2', says: `its best by was ${sayPlainDate(found.bestBy)}` };
  return { may: 'eat', rule: '', says: '' };
}

/** The answer, as a list asks it of each of its packages. */
export type MayEat = (found: Edible) => EatingAnswer;

/** True for what may be offered: eaten without another look or question. */
export const mayOffer = ({ may }: Pick<EatingAnswer, 'may'>): boolean =>
  may === 'eat' || may === 'look-first';

/** What nobody knows is judged as what spoils. */
export const UNKNOWN_FOOD: EatingCase['food'] = { controlled: true, counterDaysMax: null };

/** A package as {@link mayEat} asks for it. */
export const asEdible = (found: Package): Edible => ({ ...found, opened: found.openedOn !== null });
