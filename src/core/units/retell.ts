import type { UnitSystem } from './readAmount';
import { isPlain, type Wording, withDecimals, writeFigure } from './wording';

const G_PER_OZ = 28.349523125;
const G_PER_LB = 453.59237;
const ML_PER_FL_OZ = 29.5735295625;
const ML_PER_CUP = 236.5882365;
const ML_PER_QT = 946.352946;
const MM_PER_IN = 25.4;
const CUPS_PER_QT = 4;
const OZ_PER_LB = 16;
const FL_OZ_PER_CUP = 8;

const trimmed = (value: number, digits: number): string =>
  value.toFixed(digits).replace(/\.0+$|(\.\d*?)0+$/, '$1');

/**
 * The roundest figure (wholes, halves, quarters, tenths) that says the same within what the metric figure left open: 4 lb typed is
 * said "1.81 kg" inside, and 4 lb again.
 *
 * @param slack how far off it may be, in the unit said
 */
function figure(value: number, digits: number, slack: number): string {
  const steps = digits > 1 ? [1, 2, 4, 10] : [1, 2];
  const round = steps
    .map((parts) => Math.round(value * parts) / parts)
    .find((short) => short > 0 && Math.abs(short - value) <= slack);
  return round === undefined ? trimmed(value, digits) : String(round);
}

/** "14.1 oz", "3.53 lb": a mass in grams as a US kitchen says it. */
function sayMass(grams: number, slackG: number): string {
  const oz = grams / G_PER_OZ;
  return Number(oz.toFixed(1)) < OZ_PER_LB
    ? `${figure(oz, 1, slackG / G_PER_OZ)} oz`
    : `${figure(grams / G_PER_LB, 2, slackG / G_PER_LB)} lb`;
}

/** "6 fl oz", "1.5 cups", "2.11 qt": a volume in millilitres. */
function sayVolume(ml: number, slackMl: number): string {
  const ounces = ml / ML_PER_FL_OZ;
  const cups = ml / ML_PER_CUP;
  if (Number(ounces.toFixed(1)) < FL_OZ_PER_CUP) return `${figure(ounces, 1, slackMl / ML_PER_FL_OZ)} fl oz`;
  if (Number(cups.toFixed(2)) < CUPS_PER_QT) {
    const said = figure(cups, 2, slackMl / ML_PER_CUP);
    return `${said} ${said === '1' ? 'cup' : 'cups'}`;
  }
  return `${figure(ml / ML_PER_QT, 2, slackMl / ML_PER_QT)} qt`;
}

/** The published thresholds have figures of their own in °F. */
const PUBLISHED_F: Readonly<Record<string, string>> = { '4.4': '40', '-18': '0', '32': '90', '-17.8': '0' };

/** "40 °F"; to a tenth where the °C had one. */
export function sayFahrenheit(celsius: number): string {
  const published = PUBLISHED_F[String(celsius)];
  const degrees = (celsius * 9) / 5 + 32;
  const said = published ?? trimmed(degrees, Number.isInteger(celsius) ? 0 : 1);
  return said.replace(/^-0$/, '0').replace('-', '−');
}

/** "−18" or "0", "4.5" or "4,5": a temperature as the household's thermometers show it, without its sign. */
export const sayDegrees = (celsius: number, { units, decimals }: Wording): string =>
  writeFigure(units === 'us' ? sayFahrenheit(celsius) : `${celsius}`.replace('-', '−'), decimals);

/** °C of a figure typed in the household's degrees. */
export const toCelsius = (degrees: number, system: UnitSystem): number =>
  system === 'us' ? Math.round(((degrees - 32) * 50) / 9) / 10 : degrees;

/** Says a figure in a unit; `slack` is how far off the figure as written may be, in that unit. */
type Say = (value: number, slack: number) => string;
const litres: Say = (value, slack) => sayVolume(value * 1000, slack * 1000);

const SAY: Readonly<Record<string, Say>> = {
  kg: (value, slack) => sayMass(value * 1000, slack * 1000),
  g: sayMass,
  ml: sayVolume,
  l: litres,
  L: litres,
  litre: litres,
  litres,
  mm: (value) => `${trimmed(value / MM_PER_IN, 1)} in`,
  cm: (value) => `${trimmed((value * 10) / MM_PER_IN, 1)} in`,
  '°C': (value) => `${sayFahrenheit(value)} °F`,
};

/**
 * Half of the last place that is ever written, rounded twice: whole grams and millilitres, hundredths of kilos and litres, tenths
 * from 10.
 */
const slackOf = (value: number, unit: string): number =>
  unit === 'g' || unit === 'ml' ? 0.5 : value < 10 ? 0.0056 : 0.0506;

const FIGURE = String.raw`[−-]?\d+(?:[.,]\d+)?`;
/** "480 × 140 × 300 mm" first, then every figure with its unit. */
const MEASURES = new RegExp(String.raw`((?:${FIGURE}\s*×\s*)+)(${FIGURE})\s?(mm|cm)\b`, 'gu');
const QUANTITY = new RegExp(
  String.raw`(?<![\p{L}\d.])(${FIGURE})[\s\u00a0]?(kg|g|ml|litres?|l|L|mm|cm|°C)(?![\p{L}\d²/])`,
  'gu',
);

const valueOf = (figure: string): number => Number(figure.replace('−', '-').replace(',', '.'));

/**
 * Words with their metric quantities as the household measures, and their figures as it writes them: "400 g" is "14.1 oz" in a US
 * kitchen, "4.4 °C" is "40 °F", "1.5 kg" is "1,5 kg" where a comma is written. Inside, everything is grams, millilitres,
 * millimetres, °C and a point; this is the one place where it is said otherwise.
 */
export function retell(text: string, wording: Wording): string {
  return withDecimals(inUnits(text, wording.units), wording.decimals);
}

function inUnits(text: string, system: UnitSystem): string {
  if (system === 'metric') return text;
  return text
    .replace(MEASURES, (_, lead: string, last: string, unit: string) => {
      const inches = (written: string): string =>
        trimmed((valueOf(written) * (unit === 'cm' ? 10 : 1)) / MM_PER_IN, 1);
      return `${lead.replace(new RegExp(FIGURE, 'gu'), inches)}${inches(last)} in`;
    })
    .replace(QUANTITY, (_, written: string, unit: string) => {
      const value = valueOf(written);
      return (SAY[unit] as Say)(value, slackOf(value, unit));
    });
}

/** Names the cook gave: they are sent back as they stand, so they are never said otherwise. */
const TYPED: ReadonlySet<string> = new Set(['name', 'called', 'room', 'purpose', 'person']);

/** The same for every text of an answer or a view but the cook's own names; figures stay as they are. */
export function retellAll<Value>(value: Value, wording: Wording): Value {
  if (isPlain(wording)) return value;
  const told = (one: unknown): unknown => {
    if (typeof one === 'string') return retell(one, wording);
    if (Array.isArray(one)) return one.map(told);
    if (one !== null && typeof one === 'object' && Object.getPrototypeOf(one) === Object.prototype)
      return Object.fromEntries(
        Object.entries(one).map(([key, inner]) => [
          key,
          typeof inner === 'string' && TYPED.has(key) ? inner : told(inner),
        ]),
      );
    return one;
  };
  return told(value) as Value;
}
