import type { Package } from '../model/package';
import type { Reset } from '../model/round';
import type { StockRow } from '../stock/stockRow';

/** What a reset gained so far. */
export interface ResetOutcome {
  /** Things that came out, and how they stand now. */
  things: number;
  back: number;
  gone: number;
  /** Back in another zone than they came from. */
  moved: number;
  /** Dates or amounts that were not as the books had them. */
  corrected: number;
  /** In the zones now, though they did not come out of them by the books. */
  found: number;
  /** Litres that are free now and were not, l; less than 0: more lies there than before. */
  litres: number;
}

/**
 * What a reset gained: litres of its zones, what left, what lies better, what was not as the books had it. A date that the stay on the
 * counter brought forward is no error of the books.
 *
 * @param now the packages that came out, as they are now, @param rows everything that is here
 * @param litresOf the room a package takes up, l
 */
export function resetOutcome(
  { out, zones }: Pick<Reset, 'out' | 'zones'>,
  now: ReadonlyMap<string, Package>,
  rows: readonly Pick<StockRow, 'id' | 'zoneId'>[],
  litresOf: (found: Package) => number,
): ResetOutcome {
  const outcome = { things: out.length, back: 0, gone: 0, moved: 0, corrected: 0, found: 0, litres: 0 };
  const known = new Set(out.map((one) => one.package));
  for (const one of out) {
    const found = now.get(one.package);
    if (!found) continue;
    const before = litresOf({ ...found, amount: one.amount });
    // What still stands out comes back yet.
    const stays = found.gone === null && (found.zoneId === null || zones.includes(found.zoneId));
    outcome.litres += before - (stays ? litresOf(found) : 0);
    if (found.gone !== null) outcome.gone++;
    else if (found.zoneId !== null) {
      outcome.back++;
      if (found.zoneId !== one.zone) outcome.moved++;
    }
    const dated = found.governingDate !== one.governing && found.trail.at(-1)?.rule !== 'K10';
    if (found.gone === null && (dated || found.amount !== one.amount)) outcome.corrected++;
  }
  outcome.found = rows.filter(
    ({ id, zoneId }) => zoneId !== null && zones.includes(zoneId) && !known.has(id),
  ).length;
  outcome.litres = Math.round(outcome.litres * 10) / 10;
  return outcome;
}
