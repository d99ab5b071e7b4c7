import type { Container } from '../model/container';
import { type Arrangement, type FitZone, posesOf, fitContainer, roomForHand } from './fit';

/** A column of one kind, one container wide, as deep and high as it goes. */
export interface MixColumn {
  container: Container;
  arrangement: Arrangement;
  /** How many columns stand side by side, and how many containers they hold. */
  columns: number;
  total: number;
}

/** The mix that fills a zone best. */
export interface Mix {
  columns: MixColumn[];
  litres: number;
  /** Of the zone's own litres, 0 to 1. */
  share: number;
}

const MM3_PER_LITRE = 1_000_000;

/** For each kind the ways it may stand in a column, with what one column holds. */
function columnsOf(zone: FitZone, container: Container): { arrangement: Arrangement; each: number }[] {
  const one = fitContainer(zone, container);
  return posesOf(container).flatMap((pose) => {
    const arrangement = one.find(
      (found) => found.pose === pose.pose && found.acrossMm === pose.acrossMm && found.backMm === pose.backMm,
    );
    return arrangement ? [{ arrangement, each: arrangement.deep * arrangement.high }] : [];
  });
}

interface Step {
  litres: number;
  /** How many containers of the kind, in which way. */
  took: { option: number; columns: number; total: number } | null;
}

/** Fills `widthMm` with columns of these kinds: a knapsack over the width, each kind in one way and no more than there are. */
function fillWidth(zone: FitZone, widthMm: number, containers: readonly Container[]): Mix {
  const wide = Math.max(0, Math.floor(widthMm));
  let best = new Float64Array(wide + 1);
  const steps: Step[][] = [];
  const kinds = containers.map((container) => ({ container, options: columnsOf(zone, container) }));
  for (const { container, options } of kinds) {
    const next = Float64Array.from(best);
    const row: Step[] = Array.from(next, (litres) => ({ litres, took: null }));
    options.forEach(({ arrangement, each }, option) => {
      const most = Math.min(Math.ceil(container.count / each), Math.floor(wide / arrangement.acrossMm));
      for (let columns = 1; columns <= most; columns++) {
        const total = Math.min(container.count, columns * each);
        const used = columns * arrangement.acrossMm;
        for (let at = used; at <= wide; at++) {
          const litres = (best[at - used] ?? 0) + total * container.litres;
          if (litres > (next[at] ?? 0) + 1e-9) {
            next[at] = litres;
            row[at] = { litres, took: { option, columns, total } };
          }
        }
      }
    });
    steps.push(row);
    best = next;
  }
  const columns: MixColumn[] = [];
  let at = wide;
  for (let kind = kinds.length - 1; kind >= 0; kind--) {
    const took = steps[kind]?.[at]?.took;
    const of = kinds[kind];
    if (!took || !of) continue;
    const arrangement = of.options[took.option]?.arrangement;
    if (!arrangement) continue;
    columns.push({ container: of.container, arrangement, columns: took.columns, total: took.total });
    at -= took.columns * arrangement.acrossMm;
  }
  const litres = columns.reduce((sum, one) => sum + one.total * one.container.litres, 0);
  const whole = (zone.widthMm * zone.heightMm * zone.depthMm) / MM3_PER_LITRE;
  return { columns: columns.reverse(), litres, share: whole === 0 ? 0 : litres / whole };
}

/**
 * The mix of owned containers that leaves the least of a zone unused: columns side by side, each of one kind, with room for a
 * hand where something in it does not give.
 */
export function bestMix(zone: FitZone, containers: readonly Container[]): Mix {
  const bags = containers.filter(({ rigid }) => !rigid);
  const withHand = fillWidth(zone, roomForHand(zone, true).acrossMm, containers);
  const withoutHand = fillWidth(zone, zone.widthMm, bags);
  return withoutHand.litres > withHand.litres ? withoutHand : withHand;
}
