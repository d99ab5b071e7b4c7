import { HARD_FROZEN_C } from '../model/limits';
import type { Food } from '../model/food';
import type { ZoneKind } from '../model/drawing';
import peeledOrCooked from './peeledOrCooked.json';

/** A zone as the solver sees it. Litres, mm, °C; `order` counts from the top. */
export interface PlacingZone {
  id: string;
  appliance: string;
  /** The closed room of it in which the zone is; not told: the appliance has one. */
  compartment?: string;
  kind: ZoneKind;
  /** What its compartment is; not told: by its temperature. */
  cold?: 'fridge' | 'freezer';
  /** `null`: nobody measured it. */
  temperatureC: number | null;
  humidity: 'low' | 'high' | null;
  order: number;
  freeLitres: number;
  litres: number;
  widthMm: number | null;
  depthMm: number | null;
  heightMm: number | null;
  leakproof: boolean;
  /** Tags, groups or kinds of food; empty: anything. */
  only: readonly string[];
  never: readonly string[];
  /** Whose it is; not told or empty: everybody's. */
  person?: string;
  purpose: string;
  /** What must be lifted out to reach it. */
  lifts: number;
}

/** A package that wants a place. */
export interface PlacingPackage {
  id: string;
  food: Food;
  /** It lies closed: raw juice does it no harm. Not told: it does not. */
  closed?: boolean;
  state: 'chilled' | 'frozen';
  litres: number;
  /** Largest piece that does not give, mm; `null`: none. */
  rigidMm: readonly [number, number, number] | null;
  daysLeft: number | null;
  takesPerWeek: number;
}

/** What lies in a zone already. */
export interface PlacedFood {
  zone: string;
  food: Food;
  closed?: boolean;
}

const PEELED_OR_COOKED: ReadonlySet<string> = new Set(peeledOrCooked);

/** At this and colder a zone is a freezer's, °C. */
const FREEZER_C = -6;
/** True for a zone of a freezer, by what it is built as, else by what it measures. */
export const isFreezerZone = ({ cold, temperatureC }: PlacingZone): boolean =>
  cold === undefined ? temperatureC !== null && temperatureC <= FREEZER_C : cold === 'freezer';

/** True where food stays frozen: a freezer that measures as one. */
export const keepsFrozen = (zone: PlacingZone): boolean =>
  isFreezerZone(zone) && (zone.temperatureC === null || zone.temperatureC <= FREEZER_C);

/** True where chilled food would freeze. */
export const wouldFreeze = ({ temperatureC }: PlacingZone): boolean =>
  temperatureC !== null && temperatureC <= HARD_FROZEN_C;

export const isRaw = ({ readiness }: Food): boolean => readiness === 'raw-animal';
/** Food that raw juice must never reach: eaten as it is or only washed, and neither closed nor always peeled or cooked. */
export const isExposed = ({ food, closed = false }: Pick<PlacedFood, 'food' | 'closed'>): boolean =>
  !closed &&
  (food.readiness === 'ready-to-eat' ||
    (food.readiness === 'needs-wash' && !PEELED_OR_COOKED.has(food.copyOf ?? food.id)));
