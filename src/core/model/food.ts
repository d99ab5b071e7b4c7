/** The reference table of foods as the core sees it. Figures: data/foods.csv; columns: docs/reference.md. */

export const READINESS = ['raw-animal', 'ready-to-eat', 'needs-wash', 'cook-first'] as const;
export type Readiness = (typeof READINESS)[number];

export const FREEZE_FITS = ['good', 'fair', 'poor', 'no'] as const;
export type FreezeFit = (typeof FREEZE_FITS)[number];

export const HOMES = [
  'fridge-upper',
  'fridge-middle',
  'fridge-lower-back',
  'door',
  'crisper-high',
  'crisper-low',
  'freezer',
  'counter',
  'cupboard',
] as const;
export type Home = (typeof HOMES)[number];

/** Who of a household eats with more care. */
export const RISKS = ['pregnant', 'under-one', 'over-65', 'ill'] as const;
export type Risk = (typeof RISKS)[number];
/** Who of a household is pregnant, under one, over 65 or ill, by name. */
export type Marks = Readonly<Record<string, readonly Risk[]>>;

export const ETHYLENE = ['giver', 'taker', 'both', 'none'] as const;

/** One food. Days are at 0 to 4 °C, months at −18 °C; `null` means "no figure", never zero. */
export interface Food {
  id: string;
  name: string;
  aliases: string[];
  group: string;
  outageClass: string;
  /** True when the class is discarded above 4.4 °C: the food has a safety date (rule K1). */
  controlled: boolean;
  dietTags: string[];
  readiness: Readiness;
  fridgeDaysMin: number | null;
  fridgeDaysMax: number | null;
  /** Days of the home-made one, or of one sold loose, where the others are those of a maker's closed pack (K3b). */
  homeDaysMin: number | null;
  homeDaysMax: number | null;
  openedDaysMin: number | null;
  openedDaysMax: number | null;
  thawedDays: number | null;
  counterDaysMax: number | null;
  /** Hours out of the cold once it is open, where its outage class discards above a higher threshold only (K10). */
  warmHours?: number;
  freezerMonthsMin: number | null;
  freezerMonthsMax: number | null;
  freezeFit: FreezeFit;
  freezePrep: string[];
  blanchMinutes: number | null;
  blanchOptional: boolean | null;
  unblanchedMonthsMax: number | null;
  home: Home;
  ethylene: (typeof ETHYLENE)[number];
  /** Mass fractions of the edible part, sum 1. */
  composition: {
    water: number;
    protein: number;
    fat: number;
    carbohydrate: number;
    fibre: number;
    ash: number;
  };
  freezingPointC: number;
  densityKgPerL: number;
  /** Guidance the keeping figures follow. */
  source: string;
  /** Whom it is not for (K14); left out: it is for everybody. */
  notFor?: readonly Risk[];
  /** Cooked through it is for them too. */
  cookingMends?: boolean;
  /** Where the composition comes from. */
  compositionSource: string;
  note: string;
  /** What the household's own wish changed, as a sentence. */
  wished?: string;
  /** The reference food an own food was copied from. */
  copyOf?: string;
}
