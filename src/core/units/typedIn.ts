import { numberValue } from './numberValue';
import type { UnitSystem } from './readAmount';
import { type Wording, writeFigure } from './wording';

/** What a field holds inside; `room` is the litres of a whole appliance, which a US plate gives in cubic feet. */
export type InnerUnit = 'mm' | 'g' | 'ml' | 'l' | 'room';

interface Field {
  /** The unit as written beside the field: "mm" or "in". */
  unit: string;
  /** How many of the inner unit one of them is. */
  each: number;
  digits: number;
}

/** 1 in = 25.4 mm, 1 oz = 28.349523125 g, 1 US fl oz = 29.5735295625 ml, 1 US qt = 0.946352946 l, 1 cu ft = 28.316846592 l. */
const FIELDS: Readonly<Record<InnerUnit, Readonly<Record<UnitSystem, Field>>>> = {
  mm: { metric: { unit: 'mm', each: 1, digits: 1 }, us: { unit: 'in', each: 25.4, digits: 2 } },
  g: { metric: { unit: 'g', each: 1, digits: 0 }, us: { unit: 'oz', each: 28.349523125, digits: 2 } },
  ml: { metric: { unit: 'ml', each: 1, digits: 0 }, us: { unit: 'fl oz', each: 29.5735295625, digits: 2 } },
  l: { metric: { unit: 'litres', each: 1, digits: 2 }, us: { unit: 'quarts', each: 0.946352946, digits: 2 } },
  room: {
    metric: { unit: 'litres', each: 1, digits: 0 },
    us: { unit: 'cu ft', each: 28.316846592, digits: 1 },
  },
};

/**
 * A number field in the household's own measure: what stands beside it, how the inner figure is shown, and what is meant by what is
 * typed. Shown and read again, a whole figure of the inner unit stays what it was.
 */
export function typedIn(inner: InnerUnit, { units, decimals }: Wording) {
  const { unit, each, digits } = FIELDS[inner][units];
  return {
    unit,
    show: (value: number): string => writeFigure(Number((value / each).toFixed(digits)), decimals),
    /** In the inner unit, unrounded; NaN for what is no number. */
    read: (text: string): number => (text.trim() === '' ? Number.NaN : numberValue(text.trim()) * each),
  };
}
