/** What a thermometer shows, °C to a tenth; `null`: it does not answer. */
export interface ThermometerReading {
  celsius: number | null;
  /** It has taken on the temperature around it. */
  settled: boolean;
}

/** A thermometer that stands in a zone. */
export interface Thermometer {
  read(): ThermometerReading;
}

/** What one can do to the simulated thermometer. */
export interface ThermometerPlay {
  /** Puts it where it is so cold. */
  place(celsius: number): void;
  unplug(): void;
  plug(): void;
}

/** It takes about this long to come near a new temperature, ms (shortened for the stand-in). */
const SETTLING_MS = 1500;
const SETTLED_K = 0.2;
const NOISE_K = 0.05;

/** A thermometer that takes its time. @param now milliseconds; @param chance from 0 to 1 */
export function simulatedThermometer(now: () => number, chance: () => number): Thermometer & ThermometerPlay {
  let [from, around, since] = [20, 20, now()];
  let plugged = true;
  const off = (): number => (from - around) * Math.exp(-(now() - since) / SETTLING_MS);
  return {
    read() {
      if (!plugged) return { celsius: null, settled: false };
      const noise = (chance() - 0.5) * 2 * NOISE_K;
      return {
        celsius: Math.round((around + off() + noise) * 10) / 10,
        settled: Math.abs(off()) < SETTLED_K,
      };
    },
    place(celsius) {
      from = around + off();
      around = celsius;
      since = now();
    },
    unplug() {
      plugged = false;
    },
    plug() {
      plugged = true;
    },
  };
}
