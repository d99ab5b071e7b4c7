import { knownZone } from '../../../tests/fixtures/knownZone';
import { index } from '../../../tests/fixtures/reference';
import { LINE } from '../../../tests/fixtures/memoryStore';
import type { Haul } from '@/core/model/haul';
import type { IntakeLine } from '@/core/model/intakeLine';
import type { HaulView } from '@/services/haul/haul';
import { newLines } from './newLines';

const BEGUN = '2026-11-25T14:05:00.000Z';
const HAUL: Haul = {
  id: 'haul',
  name: 'Shop',
  begunAt: BEGUN,
  leftAt: '2026-11-25T13:40:00.000Z',
  outSince: '2026-11-25T13:40:00.000Z',
  coldBag: false,
  hot: false,
  fastFreeze: false,
  hygiene: [],
  closedAt: null,
};
const FLAT = { packing: 'flat', container: null, goes: 'freezer' as const, zone: 'old' };
const view = {
  lines: [{ position: 4 }],
  last_split: {
    'ground-lamb': {
      amount: 2000,
      unit: 'g',
      parts: [{ ...FLAT, amounts: [500, 500, 500, 500] }],
      preparation: [],
    },
  },
} as unknown as HaulView;
const vocabulary = {
  foods: index,
  zones: [knownZone()],
  today: '2026-11-25',
  caution: 'usual' as const,
  currency: 'EUR',
};

/** The line a command would put onto the bench. */
function told(line: Partial<IntakeLine>, half = false, now = BEGUN) {
  const plain = { ...LINE, packs: 1, form: null, wrap: null, zone: null, amount: 3000, ...line };
  const { commands } = newLines([{ line: plain, half }], HAUL, view, vocabulary, now);
  return commands[0]?.line as {
    position: number;
    outSince: string;
    parts: { amounts: number[]; goes: string; zone: string | null }[];
  };
}

describe('lines that come onto the bench', () => {
  it('are split as the last time only when the cook says nothing else, and never into an old zone', () => {
    expect(told({}).parts).toEqual([{ ...FLAT, zone: null, amounts: Array(6).fill(500) }]);
    expect(told({ packs: 2 }).parts[0]?.amounts).toEqual([1500, 1500]);
    expect(told({}, true).parts.map(({ goes }) => goes)).toEqual(['fridge', 'freezer']);
    expect(told({ zone: 'z1' }).parts).toMatchObject([{ goes: 'freezer', zone: 'z1', amounts: [3000] }]);
    expect(told({}).position).toBe(5);
  });

  it('left the cold with the haul; what comes an hour later, or was cooked, stands out from now', () => {
    expect(told({}).outSince).toBe(HAUL.outSince);
    const late = '2026-11-25T15:20:00.000Z';
    expect(told({}, false, late).outSince).toBe(late);
    expect(told({ start: { did: 'cooked', on: '2026-11-25' } }).outSince).toBe(BEGUN);
  });
});
