import { type CalendarDate, addDays } from '../../src/core/calendar/calendarDate';
import { judgeKeeping, type Keeping } from '../../src/core/keeping/judgeKeeping';
import { chilledRate } from '../../src/core/keeping/spoilageRate';
import type { Food } from '../../src/core/model/food';
import { type HistoryEvent, USUAL_CONDITIONS } from '../../src/core/model/history';
import { seededNormals } from '../../src/core/powercut/seededNormals';

/** What a meal is put together from. */
export const KINDS = ['main', 'side', 'dairy', 'fruit', 'bread', 'cold'] as const;
export type Kind = (typeof KINDS)[number];

/** One thing in the cold, with what nobody knows of it: how far it is spoiled. */
export interface Item {
  id: number;
  food: Food;
  kind: Kind;
  grams: number;
  cameOn: CalendarDate;
  /** Where it lies: low is near the hand. */
  depth: number;
  history: HistoryEvent[];
  /** By the product's own rules. */
  keeping: Keeping;
  /** Hidden: the days it truly keeps chilled, and the share of them that is gone. */
  life: number;
  spent: number;
  /** Somebody wrote a date on it, or a line on the paper list. */
  written: boolean;
}

export const isFrozen = ({ keeping }: Item): boolean => keeping.state === 'frozen';
/** Truly not fit any more: unsafe where the food is controlled, else only not good. */
export const isOff = ({ spent }: Item): boolean => spent >= 1;

/** What is assumed of the truth; see docs/simulated-years.md. */
export interface Truth {
  /** Median of the true life of controlled food, as a multiple of the published longest figure, and of the rest. */
  controlledLife: number;
  qualityLife: number;
  /** Spread of true lives on a log scale. */
  spread: number;
}
export const USUAL_TRUTH: Truth = { controlledLife: 2.2, qualityLife: 1.3, spread: 0.25 };

/** All of the chance of one year, so that every habit lives through the same weather. */
export class Fate {
  private readonly chance: ReturnType<typeof seededNormals>;
  constructor(seed: number) {
    this.chance = seededNormals(seed * 7919 + 13);
  }
  may = (share: number): boolean => this.chance.uniform() < share;
  between = (low: number, high: number): number => low + (high - low) * this.chance.uniform();
  of = <One>(all: readonly One[]): One => all[Math.floor(this.chance.uniform() * all.length)] as One;
  normal = (): number => this.chance.normal();
}

/** What lies in the cold, with the one way things happen to it. */
export class Larder {
  items: Item[] = [];
  private count = 0;
  constructor(
    private readonly truth: Truth,
    /** Only for lives and places: the same for every habit that brings the same things in. */
    private readonly fate: Fate,
  ) {}

  private judged(item: Pick<Item, 'food' | 'history'>, today: CalendarDate): Keeping {
    return judgeKeeping(item.food, item.history, today, USUAL_CONDITIONS);
  }

  store(food: Food, kind: Kind, grams: number, today: CalendarDate, cooked = false): Item {
    const history: HistoryEvent[] = [{ did: cooked ? 'cooked' : 'bought', on: today }];
    const published = food.fridgeDaysMax ?? 5;
    const median = published * (food.controlled ? this.truth.controlledLife : this.truth.qualityLife);
    const item: Item = {
      ...{ id: this.count++, food, kind, grams, cameOn: today, history },
      keeping: this.judged({ food, history }, today),
      depth: this.fate.between(0, 1),
      life: median * Math.exp(this.truth.spread * this.fate.normal()),
      ...{ spent: 0, written: false },
    };
    this.items.push(item);
    return item;
  }

  happened(item: Item, event: HistoryEvent, today: CalendarDate): void {
    item.history = [...item.history, event];
    item.keeping = this.judged(item, today);
  }

  take(item: Item, grams: number): number {
    const took = Math.min(grams, item.grams);
    item.grams -= took;
    if (item.grams < 1) this.items = this.items.filter((one) => one !== item);
    return took;
  }

  /** A day goes by: what is not frozen spoils, faster where the fridge is warm. */
  age(fridgeC: number): void {
    const rate = chilledRate(fridgeC);
    for (const item of this.items) if (!isFrozen(item)) item.spent += rate / item.life;
  }

  /** What it does to all of a fridge, or of a freezer, to be without power for so many hours: the truth of it. */
  cut(hours: number, today: CalendarDate): void {
    for (const item of this.items) {
      if (!isFrozen(item)) item.spent += (Math.max(0, hours - 5) / 8) * (item.food.controlled ? 1 : 0.2);
      else if (hours > 40) {
        item.history = [...item.history, { did: 'thawed', on: today, method: 'fridge' }];
        item.keeping = this.judged(item, today);
        item.spent += ((hours - 40) / 30) * (item.food.controlled ? 1 : 0.3);
      }
    }
  }
}

export const dayOf = (start: CalendarDate, day: number): CalendarDate => addDays(start, day);
