/** Units a scale shows; what it sends is always grams. */
export const SCALE_UNITS = ['g', 'oz', 'lb'] as const;
export type ScaleUnit = (typeof SCALE_UNITS)[number];

export interface ScaleReading {
  /** What lies on it less the tare; 0 while it is over its load or gone. */
  grams: number;
  /** It has settled: only then a weight counts. */
  stable: boolean;
  state: 'ok' | 'over' | 'gone';
  unit: ScaleUnit;
}

/** A kitchen scale. */
export interface Scale {
  read(): ScaleReading;
  tare(): void;
  /** The unit button: what the display shows next. */
  nextUnit(): void;
}

/** What one can do to the simulated scale. */
export interface ScalePlay {
  put(grams: number): void;
  /** The sensor creeps: so many grams a minute. */
  drift(gramsPerMinute: number): void;
  unplug(): void;
  plug(): void;
}

/** More than this and it shows nothing, g. */
const SCALE_LOAD_G = 5000;
const SETTLING_MS = 250;
const STABLE_G = 0.05;
const NOISE_G = { settling: 3, settled: 0.4 } as const;
const MINUTE_MS = 60_000;
const GRAMS_AN_OUNCE = 28.349523125;
const GRAMS_A_POUND = 453.59237;

/**
 * A scale that behaves like one: it takes a moment to settle and shows the weight then, it creeps when told, and gives up
 * over 5 kg.
 *
 * @param now milliseconds; @param chance from 0 to 1
 */
export function simulatedScale(now: () => number, chance: () => number): Scale & ScalePlay {
  let [before, load, since] = [0, 0, now()];
  let zero = 0;
  let creep = { perMinute: 0, from: now() };
  let plugged = true;
  let unit = 0;
  const crept = (): number => (creep.perMinute * (now() - creep.from)) / MINUTE_MS;
  const settling = (): number => (before - load) * Math.exp(-(now() - since) / SETTLING_MS);
  const gross = (): number => load + settling() + crept();
  const state = (): ScaleReading['state'] => (!plugged ? 'gone' : load > SCALE_LOAD_G ? 'over' : 'ok');
  return {
    read() {
      const here = state();
      const shown = SCALE_UNITS[unit] ?? 'g';
      if (here !== 'ok') return { grams: 0, stable: false, state: here, unit: shown };
      const stable = Math.abs(settling()) < STABLE_G;
      const noise = (chance() - 0.5) * 2 * (stable ? NOISE_G.settled : NOISE_G.settling);
      return { grams: Math.round(gross() - zero + noise), stable, state: here, unit: shown };
    },
    tare() {
      if (state() !== 'ok') return;
      zero = gross();
      creep = { ...creep };
    },
    nextUnit() {
      unit = (unit + 1) % SCALE_UNITS.length;
    },
    put(grams) {
      before = load + settling();
      load = Math.max(0, grams);
      since = now();
    },
    drift(gramsPerMinute) {
      creep = { perMinute: gramsPerMinute, from: now() };
    },
    unplug() {
      plugged = false;
    },
    plug() {
      plugged = true;
      zero = 0;
      creep = { ...creep, from: now() };
    },
  };
}

/** What its display shows: "557 g", "19.65 oz", "1.228 lb". */
export function sayScale({ grams, unit, state }: ScaleReading): string {
  if (state === 'gone') return 'no answer';
  if (state === 'over') return 'over 5 kg';
  if (unit === 'oz') return `${(grams / GRAMS_AN_OUNCE).toFixed(2)} oz`;
  if (unit === 'lb') return `${(grams / GRAMS_A_POUND).toFixed(3)} lb`;
  return `${grams} g`;
}
