const HAIR = 1e-9;

/** Points of the frozen loss rate against −18 °C, after THERMAL section 8 (our fit to public time-temperature data). */
const FROZEN_POINTS: readonly (readonly [celsius: number, rate: number])[] = [
  [-18, 1],
  [-15, 1.7],
  [-12, 2.9],
  [-9, 5],
  [-6, 10],
  [-3, 30],
];

/** How much faster chilled food spoils at `celsius` than at 4 °C; never below 1 (rule K9). */
export function chilledRate(celsius: number): number {
  return Math.max(1, (1 + 0.1 * celsius) ** 2 / 1.96);
}

/** How much faster frozen food loses quality at `celsius` than at −18 °C: ln(rate) linear between the points. */
export function frozenRate(celsius: number): number {
  const held = Math.min(-3, Math.max(-18, celsius));
  for (let at = 1; at < FROZEN_POINTS.length; at++) {
    const [warmC, warmRate] = FROZEN_POINTS[at] ?? [0, 1];
    const [coldC, coldRate] = FROZEN_POINTS[at - 1] ?? [0, 1];
    if (held <= warmC) {
      const share = (held - coldC) / (warmC - coldC);
      return coldRate * (warmRate / coldRate) ** share;
    }
  }
  return 30;
}

/** Whole days that are left of `days` when food spoils `rate` times as fast. */
export function slowedDays(days: number, rate: number): number {
  return Math.floor(days / rate + HAIR);
}
