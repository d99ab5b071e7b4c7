import fc from 'fast-check';
import { mayEatOn } from '../../../tests/fixtures/mayEatOn';
import { foods } from '../../../tests/fixtures/reference';
import { addDays } from '../calendar/calendarDate';
import type { Package } from '../model/package';
import type { Looked } from '../model/round';
import { listToUseUp } from './listToUseUp';
import { type LookCase, lookDue } from './lookDue';
import { resetOutcome } from './resetOutcome';
import { signsFor } from './signsFor';

const TODAY = '2026-11-25';
const AS_FOODS = { fridge: null, freezer: null };
const fine = (on: string): Pick<Looked, 'on' | 'finding' | 'missing'> => ({
  on,
  finding: 'fine',
  missing: null,
});

describe('what to look for', () => {
  const chilled = { frozen: false, startOn: TODAY, form: null, wrap: null };

  it('mould is cut out of hard cheese and firm vegetables in one piece only; everything else goes whole', () => {
    const cut = foods.filter((food) => signsFor(food, chilled, TODAY).cut).map(({ id }) => id);
    expect(cut).toEqual(expect.arrayContaining(['hard-cheese', 'carrots', 'cabbage', 'peppers']));
    for (const id of cut)
      expect(['cheese', 'vegetable']).toContain(foods.find((food) => food.id === id)?.group);
    for (const food of foods) {
      const { look, mould } = signsFor(food, chilled, TODAY);
      expect([look, mould]).not.toContain('');
      expect(signsFor(food, { ...chilled, form: 'slices' }, TODAY).cut).toBe(false);
      expect(signsFor(food, { ...chilled, frozen: true }, TODAY).cut).toBe(false);
    }
    for (const soft of ['strawberries', 'brie', 'grated-cheese', 'tomatoes', 'stew', 'lunch-meat'])
      expect(cut).not.toContain(soft);
  });

  it('what lies in the freezer for over a year says so', () => {
    const [food] = foods;
    if (!food) throw new Error('no foods');
    const since = (days: number) =>
      signsFor(food, { ...chilled, frozen: true, startOn: addDays(TODAY, -days) }, TODAY).overYear;
    expect([since(364), since(366)]).toEqual([false, true]);
  });
});

describe('when a look is due', () => {
  const kase: LookCase = {
    ...{ state: 'chilled', governingDate: '2026-12-20', condemned: false, cameOn: TODAY },
    ...{ keepsDays: 24, zoneKind: 'shelf' },
  };

  it('by the food, sooner in a drawer, by the household’s own rhythm, never after its date', () => {
    expect(lookDue(kase, null, AS_FOODS, TODAY)).toBe('2026-11-29');
    expect(lookDue({ ...kase, zoneKind: 'drawer' }, null, AS_FOODS, TODAY)).toBe('2026-11-28');
    expect(lookDue(kase, fine('2026-11-27'), AS_FOODS, TODAY)).toBe('2026-12-01');
    expect(lookDue(kase, null, { fridge: 2, freezer: null }, TODAY)).toBe('2026-11-27');
    expect(lookDue({ ...kase, governingDate: '2026-11-26' }, null, AS_FOODS, TODAY)).toBe('2026-11-26');
    expect(lookDue({ ...kase, state: 'frozen', governingDate: '2027-11-26' }, null, AS_FOODS, TODAY)).toBe(
      '2027-01-24',
    );
  });

  it('what was found turning, is not there or is condemned wants eyes at once', () => {
    expect(lookDue({ ...kase, condemned: true }, null, AS_FOODS, TODAY)).toBe(TODAY);
    const missing = { on: '2026-11-20', round: 'r' };
    expect(lookDue(kase, { ...fine('2026-11-20'), finding: 'missing', missing }, AS_FOODS, TODAY)).toBe(
      '2026-11-21',
    );
    expect(lookDue(kase, { ...fine(TODAY), finding: 'turning' }, AS_FOODS, TODAY)).toBe(TODAY);
  });
});

it('the use-up list is exactly what was found turning and what is due within the week', () => {
  const row = fc.record({
    id: fc.uuid(),
    days: fc.integer({ min: -3, max: 20 }),
    safety: fc.boolean(),
    condemned: fc.boolean(),
    turning: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.uniqueArray(row, { selector: ({ id }) => id, maxLength: 30 }), (made) => {
      const rows = made.map(({ id, days, safety, condemned }) => {
        const governingDate = addDays(TODAY, days);
        return {
          ...{ id, condemned, governingDate, bestBy: governingDate, useBy: safety ? governingDate : null },
          ...{
            foodId: 'apples',
            state: 'chilled' as const,
            opened: false,
            counterMinutes: 0,
            counterSince: null,
          },
          governingKind: safety ? ('use-by' as const) : ('best-by' as const),
        };
      });
      const looked = new Map(
        made.flatMap(({ id, turning }) => (turning ? [[id, { finding: 'turning' as const }]] : [])),
      );
      const listed = listToUseUp(rows, looked, TODAY, mayEatOn(TODAY));
      const wanted = made.filter(
        ({ days, safety, condemned, turning }) =>
          !condemned && !(safety && days < 0) && (turning || days <= 6),
      );
      expect(listed.map(({ row: { id } }) => id)).toEqual(wanted.map(({ id }) => id));
      expect(listed.map(({ why }) => why)).toEqual(wanted.map(({ turning }) => (turning ? 'found' : 'due')));
    }),
  );
});

it('a reset says what it gained, and does not take its own minutes on the counter for an error of the books', () => {
  const out = (id: string, more: object = {}) => ({
    ...{ package: id, called: id, zone: 'a', amount: 500, governing: '2026-12-01' },
    ...more,
  });
  const now = (id: string, more: object = {}): [string, Package] => [
    id,
    {
      ...{ id, gone: null, zoneId: 'a', amount: 500, governingDate: '2026-12-01', trail: [] },
      ...more,
    } as unknown as Package,
  ];
  const reset = {
    zones: ['a', 'b'],
    out: ['same', 'gone', 'moved', 'less', 'dated', 'stood', 'still'].map((id) => out(id)),
  };
  const packages = new Map([
    now('same'),
    now('gone', { gone: { how: 'discarded' }, zoneId: null }),
    now('moved', { zoneId: 'c' }),
    now('less', { amount: 300 }),
    now('dated', { governingDate: '2026-11-30', zoneId: 'b' }),
    now('stood', { governingDate: '2026-11-30', trail: [{ rule: 'K10' }] }),
    now('still', { zoneId: null }),
  ]);
  const rows = [...packages.values(), { id: 'new', zoneId: 'b' }].filter(({ id }) => id !== 'gone');
  expect(resetOutcome(reset, packages, rows, ({ amount }) => amount / 1000)).toEqual({
    ...{ things: 7, back: 5, gone: 1, moved: 2, corrected: 2, found: 1, litres: 1.2 },
  });
});
