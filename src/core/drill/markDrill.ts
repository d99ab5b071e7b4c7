import type { OutageVerdict } from '../model/outageClass';
import type { CutVerdict } from '../powercut/judgeCut';
import type { Drill, DrillChoice, DrillFinding, DrillFood } from './drill';
import { drillTruth } from './drillTruth';
import { spentOn } from './findOut';
import { judgeDrill } from './judgeDrill';

/** How one item was judged, against what is true of it. */
export interface DrillLine {
  item: string;
  called: string;
  chose: DrillChoice;
  /** What all the evidence there is says. */
  truth: CutVerdict;
  /** Eaten though it must go, thrown out though it need not, else right. */
  mark: 'unsafe' | 'wasted' | 'right';
  says: string;
}

/** The mark of an exercise. */
export interface DrillMark {
  lines: DrillLine[];
  /** Nothing that must go was kept. */
  safe: boolean;
  /** Of what might have been eaten, by weight, 0 to 1. */
  wasted: number;
  wastedGrams: number;
  wastedMinor: number;
  minutes: number;
}

/** How far each choice lets one go on eating. */
const STRICT: Readonly<Record<DrillChoice, number>> = {
  keep: 0,
  // Kept frozen or frozen again: the same bag stays where it is.
  refreeze: 0,
  'eat-soon': 2,
  'cook-now': 3,
  discard: 4,
};
const NEEDED: Readonly<Record<OutageVerdict, DrillChoice>> = {
  keep: 'keep',
  refreeze: 'refreeze',
  'refreeze-quality-loss': 'refreeze',
  // With all the evidence there is none is left to look at.
  check: 'discard',
  'eat-soon': 'eat-soon',
  'cook-now': 'cook-now',
  discard: 'discard',
};

const TRUE_WORDS: Readonly<Record<DrillChoice, string>> = {
  keep: 'it keeps',
  refreeze: 'it may be frozen again',
  'eat-soon': 'it is to be eaten by tomorrow',
  'cook-now': 'it is to be cooked at once',
  discard: 'it must go',
};

/** All the evidence there is, judged by the rules of the desk. */
function trueVerdicts(
  drill: Drill,
  findings: readonly DrillFinding[],
  foods: ReadonlyMap<string, DrillFood>,
): Map<string, CutVerdict> {
  const { hours, parts, items } = drillTruth(drill, spentOn(findings));
  const all = [...parts];
  // Of a cut nobody knows the readings are not there either: the telltale tells.
  const readings = drill.refroze
    ? []
    : all.flatMap(([part, { air }]) => air.map(({ atH, c }) => ({ part, atH, c })));
  const telltales = new Map(
    all.flatMap(([part, { telltale }]) => (drill.refroze ? [[part, telltale] as const] : [])),
  );
  return judgeDrill(drill, { hours, readings, telltales, seen: items }, foods);
}

/**
 * Marks an exercise: what must go may not be eaten, whatever was found out; what might have been eaten and was thrown out is waste.
 *
 * @param choices by item; one that was not judged counts as kept
 */
export function markDrill(
  drill: Drill,
  findings: readonly DrillFinding[],
  choices: ReadonlyMap<string, DrillChoice>,
  foods: ReadonlyMap<string, DrillFood>,
): DrillMark {
  const truths = trueVerdicts(drill, findings, foods);
  const lines = drill.items.flatMap((item): DrillLine[] => {
    const truth = truths.get(item.id);
    if (!truth) return [];
    const chose = choices.get(item.id) ?? 'keep';
    const needed = NEEDED[truth.verdict];
    const mark =
      STRICT[chose] < STRICT[needed]
        ? 'unsafe'
        : chose === 'discard' && needed !== 'discard'
          ? 'wasted'
          : 'right';
    const says =
      mark === 'unsafe'
        ? `By all there is to know ${TRUE_WORDS[needed]}: ${truth.evidence}.`
        : mark === 'wasted'
          ? `Thrown out for nothing: ${TRUE_WORDS[needed]}, for ${truth.evidence}.`
          : `Right: ${TRUE_WORDS[needed]}, for ${truth.evidence}.`;
    return [{ item: item.id, called: item.called, chose, truth, mark, says }];
  });
  const grams = (mark: DrillLine['mark'] | null): number =>
    drill.items.reduce((sum, item) => {
      const line = lines.find((one) => one.item === item.id);
      const eatable = line !== undefined && NEEDED[line.truth.verdict] !== 'discard';
      return sum + (mark === null ? (eatable ? item.grams : 0) : line?.mark === mark ? item.grams : 0);
    }, 0);
  const wastedGrams = grams('wasted');
  const eatable = grams(null);
  return {
    lines,
    safe: lines.every(({ mark }) => mark !== 'unsafe'),
    wasted: eatable === 0 ? 0 : wastedGrams / eatable,
    wastedGrams,
    wastedMinor: drill.items.reduce(
      (sum, item) =>
        sum + (lines.find((one) => one.item === item.id)?.mark === 'wasted' ? item.priceMinor : 0),
      0,
    ),
    minutes: spentOn(findings).minutes,
  };
}
