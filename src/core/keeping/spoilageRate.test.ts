import fc from 'fast-check';
import { chilledRate, frozenRate, slowedDays } from './spoilageRate';

describe('chilled food', () => {
  it.each([
    [-1, 1],
    [0, 1],
    [4, 1],
    [6, 1.31],
    [8, 1.65],
    [10, 2.04],
  ])('at %d °C spoils %d times as fast as at 4 °C', (celsius, rate) => {
    expect(chilledRate(celsius)).toBeCloseTo(rate, 2);
  });

  it('never spoils slower than published, and faster the warmer it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (c, more) => {
          expect(chilledRate(c)).toBeGreaterThanOrEqual(1);
          expect(chilledRate(c + more)).toBeGreaterThanOrEqual(chilledRate(c));
        },
      ),
    );
  });
});

describe('frozen food', () => {
  it.each([
    [-30, 1],
    [-18, 1],
    [-15, 1.7],
    [-12, 2.9],
    [-9, 5],
    [-6, 10],
    [-3, 30],
    [0, 30],
  ])('at %d °C loses quality %d times as fast as at −18 °C', (celsius, rate) => {
    expect(frozenRate(celsius)).toBeCloseTo(rate, 9);
  });

  it('runs evenly in logarithm between the points, never below 1', () => {
    expect(frozenRate(-16.5)).toBeCloseTo(Math.sqrt(1.7), 9);
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 0, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (c, more) => {
          expect(frozenRate(c)).toBeGreaterThanOrEqual(1);
          expect(frozenRate(c + more)).toBeGreaterThanOrEqual(frozenRate(c) - 1e-12);
        },
      ),
    );
  });
});

it('days are rounded down, but not for a hair of floating point', () => {
  expect(slowedDays(5, chilledRate(10))).toBe(2);
  expect(slowedDays(7, 1)).toBe(7);
  expect(slowedDays(0.3 / 0.1, 1)).toBe(3);
  expect(slowedDays(0, 2)).toBe(0);
});
