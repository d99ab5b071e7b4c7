import type { UnitSystem } from './readAmount';

export const DECIMALS = ['point', 'comma'] as const;

/** How a household says its figures. Inside, everything is metric and written with a point. */
export interface Wording {
  units: UnitSystem;
  /** What stands before the tenths: "1.5" or "1,5". Typed, both are understood everywhere. */
  decimals: (typeof DECIMALS)[number];
}

/** As everything is said inside. */
export const PLAIN_WORDING: Wording = { units: 'metric', decimals: 'point' };

/** Said so, words need no telling over. */
export const isPlain = ({ units, decimals }: Wording): boolean => units === 'metric' && decimals === 'point';

/** Thousands and hundredths of money first, then every figure with a point that is no code, time, version or address. */
const MONEY = /(?<![\p{L}\d.,])(\d{1,3}(?:,\d{3})+)\.(\d+)(?![\p{L}\d])/gu;
const FIGURE = /(?<![\p{L}\d.,:/_]|[\p{L}\d]-)(\d+)\.(\d+)(?![\d:_]|[.,]\d|\p{L})/gu;
const BARE = /^\s*[−-]?\d+\.\d+\s*$/u;

/** One figure as the household writes it. */
export const writeFigure = (figure: number | string, decimals: Wording['decimals']): string =>
  decimals === 'comma' ? `${figure}`.replace('.', ',') : `${figure}`;

/** Words with their figures as the household writes them; a text that is a figure alone is a value and stays. */
export function withDecimals(text: string, decimals: Wording['decimals']): string {
  if (decimals === 'point' || BARE.test(text)) return text;
  return text
    .replace(MONEY, (_, thousands: string, rest: string) => `${thousands.replaceAll(',', '.')},${rest}`)
    .replace(FIGURE, '$1,$2');
}
