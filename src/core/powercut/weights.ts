/** Weights from their logarithms, summing to 1. */
export function normalised(logs: readonly number[]): Float64Array {
  const most = Math.max(...logs);
  const weights = Float64Array.from(logs, (log) => Math.exp(log - most));
  const sum = weights.reduce((all, one) => all + one, 0);
  return weights.map((one) => one / sum);
}

/** How many samples of equal weight these are worth. */
export const effectiveSize = (weights: Float64Array): number =>
  1 / weights.reduce((sum, one) => sum + one * one, 0);

/** The power up to `most` at which the samples are still worth so many; found by bisection. */
export function temperedPower(logs: readonly number[], most: number, wanted: number): number {
  const worth = (power: number): number => effectiveSize(normalised(logs.map((log) => log * power)));
  if (worth(most) >= wanted) return most;
  let [low, high] = [0, most];
  for (let round = 0; round < 50; round++) {
    const middle = (low + high) / 2;
    if (worth(middle) >= wanted) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Quantiles of weighted values: sorted, the first whose weights so far less half of its own reach the share; "never"
 * (Infinity) sorts last (THERMAL 7).
 *
 * @param shares rising, each from 0 to 1
 */
export function weightedQuantiles(
  values: ArrayLike<number>,
  weights: Float64Array,
  shares: readonly number[],
): number[] {
  const order = Uint32Array.from({ length: values.length }, (_, at) => at);
  order.sort((a, b) => (values[a] as number) - (values[b] as number) || a - b);
  const found: number[] = [];
  let cumulated = 0;
  for (const at of order) {
    const weight = weights[at] as number;
    cumulated += weight;
    while (found.length < shares.length && cumulated - weight / 2 >= (shares[found.length] as number)) {
      found.push(values[at] as number);
    }
  }
  const last = values[order[order.length - 1] ?? 0] as number;
  return shares.map((_, nth) => found[nth] ?? last);
}

/** Indices drawn by weight at even distances, as many as there are. @param begin from 0 to 1 */
export function systematicDraw(weights: Float64Array, begin: number): number[] {
  const drawn: number[] = [];
  let cumulated = weights[0] ?? 0;
  let at = 0;
  for (let nth = 0; nth < weights.length; nth++) {
    const place = (nth + begin) / weights.length;
    while (cumulated < place && at < weights.length - 1) {
      at += 1;
      cumulated += weights[at] ?? 0;
    }
    drawn.push(at);
  }
  return drawn;
}
