import type { Cut, CutOutcome } from '@/core/model/cut';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { Problem } from '../door/problem';
import { viewContext } from '../household/context';
import type { Household } from '@/store/households';

/** What was lost in one cut. */
export interface Losses {
  household: Household;
  today: string;
  cut: Cut;
  /** With the id of its photo; `null`: there is none. */
  things: (CutOutcome & { on: string; photo: string | null })[];
  totals: {
    packs: number;
    grams: number;
    millilitres: number;
    pieces: number;
    minor: number;
    unpriced: number;
  };
}

/** What was thrown out by the decisions of a cut, undone ones left out. @throws Problem 404 */
export async function readLosses({ cut: id }: { cut: string }): Promise<Losses> {
  const { household, today } = await viewContext();
  const kept = await readKept(sql(), household.id, ['cut', 'cut-decided']);
  const cut = kept.cut.get(id);
  if (!cut) throw new Problem(404, 'not-found', 'There is no such power cut in this household.');
  const lost = [...kept['cut-decided'].values()]
    .filter((decided) => decided.cut === id)
    .flatMap(({ at, things: all }) => all.map((one) => ({ ...one, on: at })))
    .filter(({ did, rule }) => did === 'discard' && rule !== 'date')
    .sort((a, b) => (a.called < b.called ? -1 : 1));
  const packages = await readPackages(
    sql(),
    household.id,
    lost.map((one) => one.package),
  );
  const things = lost.map((one) => ({ ...one, photo: packages.get(one.package)?.photo ?? null }));
  const sum = (of: (one: CutOutcome) => number): number => things.reduce((all, one) => all + of(one), 0);
  const amount = (unit: CutOutcome['unit']) => sum((one) => (one.unit === unit ? one.amount : 0));
  return {
    household,
    today,
    cut,
    things,
    totals: {
      packs: things.length,
      grams: amount('g'),
      millilitres: amount('ml'),
      pieces: amount('pc'),
      minor: sum((one) => one.priceMinor ?? 0),
      unpriced: things.filter(({ priceMinor }) => priceMinor === null).length,
    },
  };
}
