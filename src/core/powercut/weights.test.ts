import fc from 'fast-check';
import { effectiveSize, normalised, systematicDraw, temperedPower, weightedQuantiles } from './weights';

const logs = fc.array(fc.double({ min: -50, max: 0, noNaN: true }), { minLength: 2, maxLength: 60 });

describe('weights of samples', () => {
  it('sum to 1, are worth 1 to all of them, and the tempered power keeps as many as wanted', () => {
    fc.assert(
      fc.property(logs, (all) => {
        const weights = normalised(all);
        expect(weights.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        const worth = effectiveSize(weights);
        expect(worth).toBeGreaterThanOrEqual(1 - 1e-9);
        expect(worth).toBeLessThanOrEqual(all.length + 1e-9);
        const power = temperedPower(all, 1, all.length / 2);
        expect(effectiveSize(normalised(all.map((log) => log * power)))).toBeGreaterThanOrEqual(
          all.length / 2 - 1e-6,
        );
        expect(systematicDraw(weights, 0.5)).toHaveLength(all.length);
      }),
    );
  });

  it('quantiles by hand: half of a weight counts, "never" sorts last', () => {
    const even = new Float64Array(4).fill(0.25);
    expect(weightedQuantiles([40, 10, Infinity, 20], even, [0.1, 0.5, 0.9])).toEqual([10, 40, Infinity]);
    expect(weightedQuantiles([1, 2], Float64Array.from([0.9, 0.1]), [0.4, 0.5, 0.95])).toEqual([1, 2, 2]);
    expect(systematicDraw(Float64Array.from([0.75, 0.25, 0, 0]), 0.5)).toEqual([0, 0, 0, 1]);
  });
});
