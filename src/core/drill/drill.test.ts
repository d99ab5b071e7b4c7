import { food, outageClass } from '../../../tests/fixtures/reference';
import type { Drill, DrillChoice, DrillEvidence, DrillFinding, DrillFood } from './drill';
import { drillTruth } from './drillTruth';
import { findOut, spentOn } from './findOut';
import { judgeDrill } from './judgeDrill';
import { DRILLS, makeDrill } from './makeDrill';
import { markDrill } from './markDrill';

const foods = new Map<string, DrillFood>(
  DRILLS.flatMap(({ items }) => items).map(({ food: id }) => {
    const { name, outageClass: its } = food(id);
    return [id, { name, outageClass: outageClass(its) }];
  }),
);
const drawn = Array.from({ length: 40 }, (_, at) => makeDrill(at + 1));
const all = [...DRILLS, ...drawn];
const choose = (drill: Drill, choice: DrillChoice) => new Map(drill.items.map(({ id }) => [id, choice]));

/** Finds out all there is, the log and telltale of each appliance first, and decides as the rules say. */
function careful(drill: Drill): { findings: DrillFinding[]; choices: Map<string, DrillChoice> } {
  const evidence: DrillEvidence[] = [
    ...drill.parts.flatMap(({ id, thermometer, telltale }): DrillEvidence[] => [
      ...(telltale ? [{ kind: 'telltale', part: id } as const] : []),
      ...(thermometer ? [{ kind: 'log', part: id } as const] : []),
    ]),
    ...drill.items.map(({ id }): DrillEvidence => ({ kind: 'measure', item: id })),
  ];
  const findings: DrillFinding[] = [];
  for (const one of evidence) findings.push(findOut(drill, findings, one));
  const known = {
    hours: drillTruth(drill, spentOn(findings)).hours,
    readings: findings.flatMap(({ evidence: of, readings = [] }) =>
      readings.map((reading) => ({ ...reading, part: 'part' in of ? of.part : '' })),
    ),
    telltales: new Map(
      findings.flatMap(({ evidence: of, telltale }) =>
        telltale && 'part' in of ? [[of.part, telltale] as const] : [],
      ),
    ),
    seen: new Map(
      findings.flatMap(({ evidence: of, seen }) => (seen && 'item' in of ? [[of.item, seen] as const] : [])),
    ),
  };
  const verdicts = judgeDrill(drill, known, foods);
  return {
    findings,
    choices: new Map(
      [...verdicts].map(([id, { verdict }]): [string, DrillChoice] => [
        id,
        verdict === 'refreeze-quality-loss' ? 'refreeze' : verdict === 'check' ? 'discard' : verdict,
      ]),
    ),
  };
}

it('twelve exercises come along; in most of them something must go, and in most something need not', () => {
  expect(DRILLS.length).toBe(12);
  const marks = DRILLS.map((drill) => markDrill(drill, [], choose(drill, 'discard'), foods));
  expect(marks.filter(({ wastedGrams }) => wastedGrams > 0).length).toBeGreaterThanOrEqual(9);
  const reckless = DRILLS.map((drill) => markDrill(drill, [], choose(drill, 'keep'), foods));
  expect(reckless.filter(({ safe }) => !safe).length).toBeGreaterThanOrEqual(10);
});

it('who keeps what must go fails, who throws all out never does, and is told what was wasted', () => {
  for (const drill of all) {
    const over = markDrill(drill, [], choose(drill, 'discard'), foods);
    expect([drill.id, over.safe]).toEqual([drill.id, true]);
    const kept = markDrill(drill, [], choose(drill, 'keep'), foods);
    const mustGo = over.lines.filter(({ mark }) => mark === 'right');
    expect([drill.id, mustGo.length > 0 && kept.safe]).toEqual([drill.id, false]);
    for (const { mark, says } of over.lines)
      expect(says).toMatch(mark === 'wasted' ? /^Thrown out for nothing/ : /^Right/);
    expect(over.wasted === 0).toBe(over.lines.every(({ mark }) => mark !== 'wasted'));
  }
});

it('who finds out what there is and follows the rules is safe, and wastes less than who throws all out', () => {
  let wasted = 0;
  let thrown = 0;
  for (const drill of all) {
    const { findings, choices } = careful(drill);
    const mark = markDrill(drill, findings, choices, foods);
    expect([
      drill.id,
      mark.lines.filter((line) => line.mark === 'unsafe').map(({ called, says }) => [called, says]),
    ]).toEqual([drill.id, []]);
    wasted += mark.wastedGrams;
    thrown += markDrill(drill, findings, choose(drill, 'discard'), foods).wastedGrams;
  }
  expect(wasted).toBeLessThan(thrown / 3);
});

it('looking costs minutes, and cold while the power is off; the same looks show the same', () => {
  const still = DRILLS.find(({ stillOff }) => stillOff) as Drill;
  const look: DrillEvidence = { kind: 'measure', item: still.items[0]?.id ?? '' };
  const first = findOut(still, [], look);
  expect(findOut(still, [], look)).toEqual(first);
  const many = Array.from({ length: 12 }, () => first);
  const after = findOut(still, many, look);
  expect(spentOn(many).minutes).toBe(48);
  expect(after.seen?.measuredC ?? 0).toBeGreaterThan(first.seen?.measuredC ?? 0);
});
