import { cumulativeStdNormalProbability } from 'simple-statistics';

/** What was seen of one package, in days of its clock. */
export interface LifeFinding {
  /** The last day it was fine, also the day it was eaten fine; 0: never looked at. */
  fineDays: number;
  /** The first day it was not; `null`: it never was while it was here (censored). */
  turnedDays: number | null;
}

/** How long a food really lasts here. */
export interface LearnedLife {
  /** Days until half of it would have turned. */
  days: number;
  /** Nine times of ten the truth lies between. */
  low: number;
  high: number;
  /** Findings that told something. */
  findings: number;
}

/** How far a kitchen is from the published figure, as a share on a log scale: hardly ever more than three times or a third. */
const PRIOR_SPREAD = 0.5;
/** Packages of one food differ by so much, on a log scale; which, the findings tell. */
const SPREADS = [0.12, 0.18, 0.25, 0.33, 0.42, 0.55, 0.7];
const USUAL_SPREAD = 0.3;
const SPREAD_DOUBT = 0.5;
const STEPS = 200;
const REACH = 2;
const LEAST = 1e-12;

const upTo = (days: number, median: number, spread: number): number =>
  days <= 0 ? 0 : cumulativeStdNormalProbability((Math.log(days) - median) / spread);

/** Findings alike counted as one, by the places of their days in a list of all days: most looks are on the same few. */
function counted(findings: readonly LifeFinding[]): {
  days: number[];
  told: { from: number; to: number; times: number }[];
} {
  const days = [...new Set(findings.flatMap((one) => [one.fineDays, one.turnedDays ?? Infinity]))];
  const told = new Map<string, { from: number; to: number; times: number }>();
  for (const one of findings) {
    const [from, to] = [days.indexOf(one.fineDays), days.indexOf(one.turnedDays ?? Infinity)];
    const known = told.get(`${from} ${to}`);
    if (known) known.times++;
    else told.set(`${from} ${to}`, { from, to, times: 1 });
  }
  return { days, told: [...told.values()] };
}

/** How likely the findings are, on a log scale, were half of it turned by so many days. */
function likelihood({ days, told }: ReturnType<typeof counted>, median: number, spread: number): number {
  const shares = days.map((day) => (day === Infinity ? 1 : upTo(day, median, spread)));
  return told.reduce(
    (sum, { from, to, times }) =>
      sum + times * Math.log(Math.max(LEAST, (shares[to] ?? 1) - (shares[from] ?? 0))),
    0,
  );
}

/**
 * How long a food lasts in this kitchen, from what rounds found: log-normal times to turning, each known only to lie between the last
 * look at which it was fine and the first at which it was not, or beyond the day it left (interval and right censoring), with the
 * published figure as the prior. Without findings it is the published figure.
 *
 * Only for quality dates: what this says is never a reason for a later safety date.
 *
 * @param published days by the reference table
 */
export function learnedLife(published: number, findings: readonly LifeFinding[]): LearnedLife {
  const told = findings.filter(({ fineDays, turnedDays }) => fineDays > 0 || (turnedDays ?? 0) > 0);
  const seen = counted(told);
  const prior = Math.log(published);
  const at = (step: number): number => prior - REACH + (2 * REACH * step) / STEPS;
  const weights = Array.from({ length: STEPS + 1 }, (_, step) => {
    const median = at(step);
    const before = -(((median - prior) / PRIOR_SPREAD) ** 2) / 2;
    // What the findings say of the spread is averaged over, not picked.
    const each = SPREADS.map(
      (spread) =>
        likelihood(seen, median, spread) - (Math.log(spread / USUAL_SPREAD) / SPREAD_DOUBT) ** 2 / 2,
    );
    const most = Math.max(...each);
    return before + most + Math.log(each.reduce((sum, one) => sum + Math.exp(one - most), 0));
  });
  const best = Math.max(...weights);
  const shares = weights.map((weight) => Math.exp(weight - best));
  const all = shares.reduce((sum, share) => sum + share, 0);
  const quantile = (share: number): number => {
    let sum = 0;
    const step = shares.findIndex((one) => (sum += one) >= share * all);
    return Math.exp(at(step < 0 ? STEPS : step));
  };
  const days = told.length === 0 ? published : quantile(0.5);
  return { days, low: quantile(0.05), high: quantile(0.95), findings: told.length };
}
