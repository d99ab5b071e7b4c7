import type { Cut } from '../model/cut';

/** Cuts that follow one another within so many hours add up: a refrigerator is cold again in a day, a freezer in two. */
const ROW_H = { fridge: 24, freezer: 48 } as const;

/** The cuts that add up with one: those of the same parts that ended shortly before it, or before one that did; oldest first. */
export function cutsInRow(cut: Cut, all: readonly Cut[]): Cut[] {
  const row: Cut[] = [];
  let next = cut;
  for (const one of [...all].sort((a, b) => (a.from < b.from ? 1 : -1))) {
    if (one.id === cut.id || one.until === null || one.from >= next.from) continue;
    const shared = one.parts.filter(({ id }) => cut.parts.some((part) => part.id === id));
    const gapH = (Date.parse(next.from) - Date.parse(one.until)) / 3_600_000;
    if (shared.some(({ kind }) => gapH <= ROW_H[kind])) {
      row.unshift(one);
      next = one;
    }
  }
  return row;
}
