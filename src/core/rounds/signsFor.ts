import { daysBetween, type CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import type { Wrap } from '../model/history';
import type { Form } from '../model/intakeLine';
import signs from './signs.json';

/** What to do with mould on a food (reference: Mould). */
export type Mould = 'cut' | 'scrub' | 'whole';

interface Sign {
  foods?: string[];
  groups?: string[];
  look: string;
  mould: Mould;
}

/** A package as far as a look at it goes. */
export interface LookedAt {
  frozen: boolean;
  startOn: CalendarDate;
  form: Form | null;
  wrap: Wrap | null;
}

/** What to look for, and what mould means for it. */
export interface Signs {
  look: string;
  mould: string;
  cut: boolean;
  /** Frozen, and in the freezer for more than a year. */
  overYear: boolean;
  source: string;
}

const YEAR_DAYS = 365;
const SLICED: readonly (Form | null)[] = ['slices', 'patties', 'loose', 'cubes'];
const MOULD_WORDS: Readonly<Record<Mould, string>> = {
  cut: 'Mould: cut it out with 2.5 cm around and below, the knife out of the mould.',
  scrub: 'White bloom outside is scrubbed off; any other mould: all of it goes.',
  whole: 'Mould: all of it goes. Do not sniff it.',
};
const FROZEN_LOOK: Partial<Record<Wrap, string>> = {
  vacuum: 'a seal that lets air in, frost inside, dry white places',
  glass: 'cracks in the glass: then all of it goes; frost under the lid',
  jar: 'cracks in the glass: then all of it goes; frost under the lid',
};

/**
 * What eyes and nose look for in a round, by the kind of food and how it is kept; never by tasting. Only hard cheese and firm
 * vegetables in one piece may have mould cut out, whole cured sausage be scrubbed; everything else goes whole.
 *
 * Source: mould table of the public guidance (reference: Mould).
 */
export function signsFor(
  food: Pick<Food, 'id' | 'copyOf' | 'group'>,
  found: LookedAt,
  today: CalendarDate,
): Signs {
  const id = food.copyOf ?? food.id;
  const all = signs as Sign[];
  const sign =
    all.find(({ foods }) => foods?.includes(id)) ?? all.find(({ groups }) => groups?.includes(food.group));
  // In pieces the mould reaches everywhere.
  const mould = SLICED.includes(found.form) ? 'whole' : (sign?.mould ?? 'whole');
  const overYear = found.frozen && daysBetween(found.startOn, today) > YEAR_DAYS;
  const look = found.frozen
    ? (FROZEN_LOOK[found.wrap ?? 'zip-bag'] ?? 'frost inside, a broken seal, dry white places, no name on it')
    : (sign?.look ?? 'anything that looks or smells other than it should');
  return {
    look,
    mould: found.frozen ? '' : MOULD_WORDS[mould],
    cut: !found.frozen && mould === 'cut',
    overYear,
    source: 'Public advice on mould and signs of spoilage; never taste to find out',
  };
}
