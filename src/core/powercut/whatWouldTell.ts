import type { Seen } from '../model/cut';
import type { CutPiece, ItemVerdict } from './powerCut';

/** What is known besides the verdict. */
interface Known {
  kind: CutPiece['kind'];
  /** Readings cover every stretch. */
  covered: boolean;
  seen: Seen;
  /** The last stretch without power. */
  last: CutPiece & { until: string };
  now: string;
}

/** What the readings of a stretch lack to cover it: one in its first quarter, or at its start, and one in its last. */
function readingsMissing({ last: { readings, from, until } }: Known): string | null {
  const begun = Date.parse(from);
  const ended = Date.parse(until);
  const quarter = (ended - begun) / 4;
  const counted = readings.map(({ at }) => Date.parse(at)).filter((ms) => ms <= ended);
  const early = counted.some((ms) => ms <= begun + quarter);
  const late = counted.some((ms) => ms >= ended - quarter);
  if (early && late) return null;
  if (early) return 'An early reading alone does not cover the cut: one in its last quarter is missing.';
  if (late)
    return 'One reading near the end does not cover the cut: one in its first quarter, or just before it, is missing.';
  return counted.length > 0
    ? 'Readings in the middle do not cover the cut: one in its first quarter and one in its last are missing.'
    : 'Readings of its air, one in the first quarter and one in the last, would decide instead of the clock.';
}

/**
 * What evidence would change a verdict, in words; empty where nothing would, or nothing needs to (O9).
 */
export function whatWouldTell({ verdict, rule }: ItemVerdict, known: Known): string[] {
  if (rule === 'O6' || rule === 'date') return [];
  const { kind, covered, seen } = known;
  const lookedAt = seen.iceCrystals !== undefined || typeof seen.measuredC === 'number';
  const missing = covered ? null : readingsMissing(known);
  const byReadings = missing === null ? [] : [missing];
  if (kind === 'freezer') {
    if (verdict === 'keep') return [];
    if (rule === 'O5a')
      return [
        'Only readings over the whole cut that stayed at 4.4 °C or colder speak against a solid block.',
      ];
    return lookedAt
      ? byReadings
      : [
          'Look for ice crystals, or measure its middle: at 4.4 °C or colder it counts as icy.',
          ...byReadings,
        ];
  }
  if (verdict === 'keep') return rule === 'O2' ? byReadings : [];
  if (covered) return [];
  return typeof seen.measuredC === 'number' && verdict === 'discard' && rule === 'O1'
    ? [
        'How long it was above 4.4 °C is what counts. Without readings over the cut nothing tells.',
        ...byReadings,
      ]
    : byReadings;
}
