import { classes } from '../fixtures/reference';
import { fridgeAirAfter } from '../../src/core/powercut/fridgeAirAfter';
import { judgeOutage } from '../../src/core/powercut/judgeOutage';
import type { Seen } from '../../src/core/model/cut';
import type { CutAppliance, CutItem } from '../../src/core/powercut/powerCut';
import type { Chance } from './chance';
import { type PlainCut, type PlainSeen, secondOutage } from './secondOutage';

const FROM = Date.parse('2027-01-05T06:00:00.000Z');
const HOUR = 3_600_000;
const IDS = [...classes.keys()];
const at = (h: number): string => new Date(FROM + Math.round(h * HOUR)).toISOString();

/** Gentle first. */
const SEVERITY = ['keep', 'eat-soon', 'check', 'refreeze', 'refreeze-quality-loss', 'cook-now', 'discard'];
export const severity = (verdict: string): number => SEVERITY.indexOf(verdict);

export interface DrawnCut {
  classId: string;
  cut: PlainCut;
  seen: PlainSeen;
  lasts: boolean;
}

/** Hours to whole minutes, so that both readings see the same instants. */
const minutes = (h: number): number => Math.round(h * 60) / 60;

export function drawCut(chance: Chance): DrawnCut {
  const kind = chance.of(['fridge', 'freezer'] as const);
  const hours = minutes(
    kind === 'fridge' ? chance.next() * chance.of([5, 12, 30]) : chance.next() * chance.of([30, 60, 90]),
  );
  const coldest = kind === 'fridge' ? 0 : -20;
  return {
    classId: chance.of(IDS),
    lasts: chance.may(0.3),
    cut: {
      ...(chance.may(0.3) ? { telltaleAt: minutes(chance.next() * hours) } : {}),
      kind,
      hours,
      fill: chance.whole(0, 10) / 10,
      doors: chance.of(['shut', 'shut', 'opened', 'unknown']),
      telltale:
        kind === 'fridge' ? 'none' : chance.of(['none', 'none', 'loose', 'rounded', 'one-block', 'water']),
      readings: Array.from({ length: chance.whole(0, 4) }, () => ({
        h: minutes((chance.next() * 1.6 - 0.3) * hours),
        c: coldest + chance.whole(0, kind === 'fridge' ? 24 : 56) / 2,
      })),
    },
    seen: {
      spoiled: chance.may(0.03),
      ...(chance.may(0.3) ? { at: minutes(chance.next() * hours) } : {}),
      cannotCheck: chance.may(0.2),
      ...(chance.may(0.25) ? { ice: chance.may(0.5) } : {}),
      ...(chance.may(0.25) ? { measured: chance.whole(-10, 20) / 2 + 0.4 } : {}),
    },
  };
}

/** The product's verdict. */
export function firstVerdict({ classId, cut, seen, lasts }: DrawnCut): string {
  const appliance: CutAppliance = {
    id: 'a',
    kind: cut.kind,
    fill: cut.fill,
    from: at(0),
    until: lasts ? null : at(cut.hours),
    doors: cut.doors,
    readings: cut.readings.map(({ h, c }) => ({ at: at(h), c })),
    telltale: cut.telltale as CutAppliance['telltale'],
    ...(cut.telltaleAt === undefined ? {} : { telltaleAt: at(cut.telltaleAt) }),
  };
  const looked: Seen = {
    ...(seen.ice === undefined ? {} : { iceCrystals: seen.ice }),
    ...(seen.measured === undefined ? {} : { measuredC: seen.measured }),
    ...(seen.spoiled ? { slime: true } : {}),
  };
  const item: CutItem & { appliance: string; seenAt?: string } = {
    ...(seen.at === undefined ? {} : { seenAt: at(seen.at) }),
    id: 'i',
    appliance: 'a',
    food: { name: 'it' },
    outageClass: classes.get(classId) as CutItem['outageClass'],
    seen: looked,
    cannotCheck: seen.cannotCheck,
  };
  const now = lasts ? at(cut.hours) : at(cut.hours + 30);
  return judgeOutage([appliance], [item], now)[0]?.verdict ?? '';
}

/** Compares both readings of some power cuts. */
export function compareCuts(chance: Chance, count: number) {
  const found = { count, milder: 0, different: 0, first: '' };
  for (let nth = 0; nth < count; nth++) {
    const drawn = drawCut(chance);
    const ours = firstVerdict(drawn);
    const plain = secondOutage(drawn.classId, drawn.cut, drawn.seen, drawn.lasts, fridgeAirAfter);
    if (ours === plain) continue;
    found.different += 1;
    if (severity(ours) < severity(plain)) found.milder += 1;
    if (found.first === '') found.first = JSON.stringify({ ...drawn, ours, plain });
  }
  return found;
}

/** Something a law of power cuts forbids. */
export class BrokenCut extends Error {}

/** The same cut, worse in one way: warmer readings, doors opened, emptier, not to be checked. */
function worse(chance: Chance, { cut, seen, ...rest }: DrawnCut): DrawnCut {
  switch (chance.whole(0, 3)) {
    case 0:
      return { ...rest, seen, cut: { ...cut, readings: cut.readings.map(({ h, c }) => ({ h, c: c + 1 })) } };
    case 1:
      return { ...rest, seen, cut: { ...cut, doors: 'unknown' } };
    case 2:
      return { ...rest, seen, cut: { ...cut, fill: cut.fill / 2 } };
    default:
      return { ...rest, cut, seen: { ...seen, cannotCheck: true } };
  }
}

/**
 * Laws of the verdict: a reading after the power came back, or still to come, changes nothing; a warmer, more opened, emptier
 * appliance never makes it milder. (An item measured warm is left out of the second: warm air then explains it.)
 *
 * @throws BrokenCut
 */
export function checkCutLaws(chance: Chance, count: number): void {
  for (let nth = 0; nth < count; nth++) {
    const drawn = drawCut(chance);
    const verdict = firstVerdict(drawn);
    const { cut } = drawn;
    const late = Array.from({ length: chance.whole(1, 3) }, () => ({
      h: minutes(cut.hours + 1 / 60 + chance.next() * 50),
      c: chance.whole(-40, 40) / 2,
    }));
    const told = firstVerdict({ ...drawn, cut: { ...cut, readings: [...cut.readings, ...late] } });
    if (told !== verdict)
      throw new BrokenCut(`a late reading counts: ${JSON.stringify({ drawn, late, verdict, told })}`);
    // A look decides up to its time only: before the end it makes nothing milder than no look at all.
    const early = { ...drawn, lasts: false, seen: { ...drawn.seen, at: minutes(cut.hours * 0.9) } };
    const { ice: _ice, measured: _measured, ...unseen } = drawn.seen;
    const blind = { ...early, seen: unseen };
    if (cut.hours > 1 && severity(firstVerdict(early)) < severity(firstVerdict(blind)))
      throw new BrokenCut(`an early look makes it milder: ${JSON.stringify({ early })}`);
    // What was seen early may ask for a look where the clock alone would not: those are no steps of one ladder.
    const timed = drawn.seen.at !== undefined || cut.telltaleAt !== undefined;
    if (timed || typeof drawn.seen.measured === 'number') continue;
    const harder = worse(chance, drawn);
    const then = firstVerdict(harder);
    if (severity(then) < severity(verdict)) {
      throw new BrokenCut(`worse, and milder: ${JSON.stringify({ drawn, harder, verdict, then })}`);
    }
  }
}
