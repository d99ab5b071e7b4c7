/** Cleland and Earle's interpolation between a large and a small Biot number. */
function share(beta: number, biot: number): number {
  const x = 2.32 / beta ** 1.77;
  return x / (biot ** 1.34 + x);
}

/** What the second dimension adds. */
export function firstEdge(beta: number, biot: number): number {
  const w = share(beta, biot);
  return w / beta + ((1 - w) * 0.73) / beta ** 2.5;
}

/** What the third dimension adds. */
export function secondEdge(beta: number, biot: number): number {
  const w = share(beta, biot);
  return w / beta + ((1 - w) * 0.5) / beta ** 3.69;
}

/**
 * By how much a brick heats faster than a slab of its smallest dimension, 1 to 3 (after Cleland and Earle).
 *
 * @param betas the other two dimensions over the smallest, each at least 1, the smaller first
 */
export function brickFactor([beta1, beta2]: readonly [number, number], biot: number): number {
  return 1 + firstEdge(beta1, biot) + secondEdge(beta2, biot);
}
