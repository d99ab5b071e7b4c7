import { readFileSync } from 'node:fs';
import { parse } from 'csv-parse/sync';
import { food, outageClass } from '../../../tests/fixtures/reference';
import { type Cut, type CutPart, type Seen, USUAL_ROOM_C } from '../model/cut';
import { cutFacts } from './cutFacts';
import { judgeCut } from './judgeCut';

interface Row {
  why: string;
  food: string;
  place: 'fridge' | 'freezer';
  hours: string;
  fill: string;
  doors: CutPart['doors'];
  readings: string;
  telltale: CutPart['telltale'];
  seen: string;
  verdict: string;
  rule: string;
}

const BEGUN = Date.parse('2026-11-20T08:00:00.000Z');
const at = (hours: number): string => new Date(BEGUN + hours * 3_600_000).toISOString();
const rows = parse(readFileSync('tests/fixtures/outageScenarios.csv', 'utf8'), { columns: true }) as Row[];

function toSeen(words: string): Seen {
  if (words === '') return {};
  if (words === 'icy' || words === 'no ice') return { iceCrystals: words === 'icy' };
  if (words.startsWith('measured:')) return { measuredC: Number(words.slice('measured:'.length)) };
  return { [words]: true };
}

it('has at least sixty scenarios, each once', () => {
  expect(rows.length).toBeGreaterThanOrEqual(60);
  expect(new Set(rows.map(({ why }) => why)).size).toBe(rows.length);
});

it.each(rows.map((row) => [row.why, row] as const))('%s', (_why, row) => {
  const part: CutPart = {
    ...{
      id: 'part',
      called: row.place,
      kind: row.place,
      drawn: true,
      fill: Number(row.fill),
      doors: row.doors,
    },
    ...{ telltale: row.telltale, roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 },
  };
  const cut: Cut = { id: 'cut', from: at(0), until: at(Number(row.hours)), closedAt: null, parts: [part] };
  const readings = row.readings
    .split(' ')
    .filter((one) => one !== '')
    .map((one, nth) => {
      const [hour, c] = one.split(':').map(Number);
      return { id: String(nth), cut: 'cut', part: 'part', at: at(hour ?? 0), c: c ?? 0 };
    });
  const { name, outageClass: its } = food(row.food);
  const thing = {
    ...{ id: 'thing', food: { name }, outageClass: outageClass(its), seen: toSeen(row.seen), past: null },
    stays: [{ part: 'part', from: null, until: null }],
  };
  const [verdict] = judgeCut(cutFacts(cut, { cuts: [cut], readings, openings: [] }), [thing], at(100));
  expect([verdict?.verdict, verdict?.rule]).toEqual([row.verdict, row.rule]);
  expect([verdict?.evidence, verdict?.source].every((words) => (words ?? '').length > 3)).toBe(true);
});
