import { outageRows } from './rows';

/**
 * A second, plain reading of RULES.md O1 to O7, for comparison: hours as numbers from the start of the cut, the classes as rows
 * of the file. Only how a refrigerator warms after its last reading is handed in (`warm`): that is THERMAL's, not a rule.
 */
export interface PlainCut {
  kind: 'fridge' | 'freezer';
  fill: number;
  hours: number;
  doors: 'shut' | 'opened' | 'unknown';
  readings: { h: number; c: number }[];
  telltale: string;
  /** When the telltale was looked at, hours; left out: at the end. */
  telltaleAt?: number;
}

export interface PlainSeen {
  ice?: boolean;
  measured?: number | null;
  /** When it was looked at, hours; left out: at the end. */
  at?: number;
  spoiled: boolean;
  cannotCheck: boolean;
}

export type Warm = (fill: number, shut: boolean, c: number, hours: number) => { h: number; c: number }[];

const HAIR = 1e-9;
const EARLY = 1 / 60 + HAIR;

/** The air at each reading that counts, from the start to the end of the cut. */
function airOf(cut: PlainCut, warm: Warm): { h: number; c: number }[] {
  const told = [...cut.readings]
    .filter(({ h }) => h <= cut.hours + HAIR)
    .sort((a, b) => a.h - b.h || a.c - b.c);
  const earlier = told.filter(({ h }) => h <= HAIR);
  const inside = told.filter(({ h }) => h > HAIR);
  const begin = earlier.length > 0 ? earlier[earlier.length - 1] : undefined;
  const line = [{ h: 0, c: begin?.c ?? (cut.kind === 'fridge' ? 4 : (inside[0]?.c ?? -18)) }, ...inside];
  const last = line[line.length - 1] as { h: number; c: number };
  if (last.h >= cut.hours) return line;
  if (cut.kind === 'freezer') return [...line, { h: cut.hours, c: last.c }];
  const on = warm(cut.fill, cut.doors === 'shut', last.c, cut.hours - last.h);
  return [...line, ...on.map(({ h, c }) => ({ h: last.h + h, c: Math.max(c, last.c) }))];
}

/** Hours above a temperature, by walking along each straight line. */
function above(line: readonly { h: number; c: number }[], limit: number): number {
  let sum = 0;
  for (let at = 1; at < line.length; at++) {
    const [a, b] = [line[at - 1], line[at]] as [{ h: number; c: number }, { h: number; c: number }];
    const [low, high] = a.c <= b.c ? [a.c, b.c] : [b.c, a.c];
    if (low > limit) sum += b.h - a.h;
    else if (high > limit) sum += ((high - limit) / (high - low)) * (b.h - a.h);
  }
  return sum;
}

/** Gentle first. */
const STRICTNESS = ['keep', 'refreeze', 'refreeze-quality-loss', 'check', 'eat-soon', 'cook-now', 'discard'];
const strictest = (verdicts: string[]): string =>
  verdicts.reduce((worst, one) => (STRICTNESS.indexOf(one) > STRICTNESS.indexOf(worst) ? one : worst));

/**
 * O10: what was seen before the end speaks of the time before it. Of cold it says nothing of later; of warmth it goes on to count. While
 * the power is off, half an hour ago is now.
 */
export function secondOutage(
  classId: string,
  cut: PlainCut,
  seen: PlainSeen,
  lasts: boolean,
  warm: Warm,
): string {
  const since = cut.hours - (lasts ? 0.5 : 0) - HAIR;
  const lookEarly = seen.at !== undefined && seen.at < since;
  const telltaleEarly = cut.telltale !== 'none' && cut.telltaleAt !== undefined && cut.telltaleAt < since;
  const unseen: PlainSeen = { spoiled: seen.spoiled, cannotCheck: seen.cannotCheck };
  const look = lookEarly ? unseen : seen;
  const verdicts = [
    readPlainly(classId, { ...cut, telltale: telltaleEarly ? 'none' : cut.telltale }, look, warm),
  ];
  const cold = seen.ice === true || (typeof seen.measured === 'number' && seen.measured <= 4.4);
  const looked = seen.ice !== undefined || typeof seen.measured === 'number';
  if (lookEarly && looked && !cold)
    verdicts.push(readPlainly(classId, { ...cut, telltale: 'none' }, seen, warm));
  if (telltaleEarly && cut.telltale !== 'loose') verdicts.push(readPlainly(classId, cut, unseen, warm));
  return strictest(verdicts);
}

function readPlainly(classId: string, cut: PlainCut, seen: PlainSeen, warm: Warm): string {
  const row = outageRows.get(classId) as Record<string, string>;
  if (seen.spoiled) return 'discard';
  const { hours } = cut;
  const counts = cut.readings.filter(({ h }) => h <= hours + HAIR);
  const covered =
    counts.some(({ h }) => h <= hours / 4 + HAIR) && counts.some(({ h }) => h >= hours - hours / 4 - HAIR);
  const shut =
    cut.kind === 'fridge' ? 4 : cut.fill >= 0.5 ? 24 + (Math.min(cut.fill, 1) - 0.5) * 48 : cut.fill * 48;
  const limit = cut.doors === 'shut' ? shut : shut / 2;
  const reached = (of: number, most: number): boolean => of >= most - EARLY;
  const measured = typeof seen.measured === 'number' ? seen.measured : null;

  if (cut.kind === 'fridge') {
    const keeps = row.fridge_verdict === 'keep';
    const threshold = row.fridge_threshold_c === '' ? 4.4 : Number(row.fridge_threshold_c);
    const controlled = !keeps && threshold === 4.4;
    const classHours = row.fridge_limit_hours === '' ? null : Number(row.fridge_limit_hours);
    const air = covered ? airOf(cut, warm) : null;
    if (measured !== null && measured > 4.4 && controlled && (air === null || above(air, 4.4) === 0))
      return 'discard';
    if (air !== null) {
      if (keeps) return 'keep';
      const hoursAbove = above(air, threshold);
      if (classHours !== null && reached(hoursAbove, classHours)) return 'discard';
      return controlled && hoursAbove > 0 ? 'eat-soon' : 'keep';
    }
    if (keeps) return 'keep';
    return reached(hours, controlled ? limit : limit + (classHours ?? 0)) ? 'discard' : 'keep';
  }

  const icy = row.freezer_icy_verdict as string;
  const thawedLimit = row.freezer_thawed_limit_hours === '' ? null : Number(row.freezer_thawed_limit_hours);
  const thawed = row.freezer_thawed_verdict as string;
  const air = covered ? airOf(cut, warm) : null;
  const warmest = air === null ? null : Math.max(...air.map(({ c }) => c));
  const softened = (): string =>
    // Where even an icy one is thrown out, a warmer one is not cooked: warmer is never milder.
    thawed === 'discard' &&
    icy !== 'discard' &&
    thawedLimit !== null &&
    air !== null &&
    !reached(above(air, 4.4), thawedLimit)
      ? 'cook-now'
      : thawed;
  if (cut.telltale === 'one-block') return warmest !== null && warmest <= 4.4 ? icy : thawed;
  if (seen.ice === true || (measured !== null && measured <= 4.4)) return icy;
  if (measured !== null) return warmest !== null && warmest <= 4.4 ? thawed : softened();
  if (seen.ice === false) return softened();
  if (warmest !== null) return warmest <= -3 ? 'keep' : warmest <= 4.4 ? icy : softened();
  if (cut.telltale === 'loose') return 'keep';
  if (cut.telltale === 'rounded') return icy;
  if (cut.telltale === 'water') return thawed;
  if (!reached(hours, limit / 2)) return 'keep';
  if (!reached(hours, limit)) return 'check';
  return seen.cannotCheck ? thawed : 'check';
}
