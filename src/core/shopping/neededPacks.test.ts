import fc from 'fast-check';
import { mayEatOn } from '../../../tests/fixtures/mayEatOn';
import { addDays } from '../calendar/calendarDate';
import type { Level, PackSize } from '../model/kept';
import type { StockRow } from '../stock/stockRow';
import { type Eaten, neededPacks } from './neededPacks';
import { sayStanding } from './sayStanding';

const TODAY = '2026-11-26';
const LITRE: PackSize = { amount: 1000, unit: 'ml' };
let made = 0;

function pack(change: Partial<StockRow> = {}): StockRow {
  made += 1;
  const date = change.governingDate ?? '2026-12-06';
  return {
    id: `p${made}`,
    code: `AA${made}`,
    lotId: 'l',
    foodId: 'milk',
    called: 'Milk',
    ...LITRE,
    wrap: null,
    zoneId: 'z',
    state: 'chilled',
    opened: false,
    startOn: '2026-11-20',
    useBy: date,
    bestBy: date,
    governingDate: date,
    governingKind: 'use-by',
    ...{ condemned: false, counterMinutes: 0, counterSince: null },
    priceMinor: null,
    note: '',
    whose: '',
    handsOff: false,
    version: 1,
    firstOut: date,
    ...change,
  };
}
const eatenOf = (count: number): Eaten[] => Array.from({ length: count }, () => LITRE);
const NEVER: Level = { kind: 'never-out', packs: 1, size: LITRE };
const how = { today: TODAY, days: 56, everyDays: 7, keepsDays: null, mayEat: mayEatOn(TODAY) };

it('counts out what thaws, what is promised, what is past and what will be past before its turn', () => {
  const rows = [
    pack({ governingDate: '2026-11-20', useBy: '2026-11-20' }),
    pack({ governingDate: '2026-11-28' }),
    pack({ state: 'thawing' }),
    pack({ whose: 'Wren' }),
    // Two days hence it is past; one a week is eaten, so its turn comes after seven.
    pack({ governingDate: '2026-11-29' }),
    pack({ governingDate: '2026-12-24', amount: 500 }),
  ];
  const standing = neededPacks(rows, { kind: 'at-least', packs: 4, size: LITRE }, eatenOf(8), how);
  expect(standing).toMatchObject({
    here: 6,
    thawing: 1,
    promised: 1,
    passing: 1,
    free: 1.5,
    perWeek: 1,
    need: 4,
  });
  expect(sayStanding(standing, TODAY)).toBe(
    'You have 6, the oldest from Fri; 1 thawing, 1 kept for somebody, 1 past before their turn; about 1 a week are eaten.',
  );
});

it('what is bought only on offer is never asked for; what is not eaten is brought up to its level and no further', () => {
  expect(neededPacks([], { kind: 'on-offer', packs: 6, size: null }, eatenOf(9), how).need).toBe(0);
  expect(neededPacks([pack()], { kind: 'at-least', packs: 3, size: null }, [], how).need).toBe(2);
});

it('more here never asks for more, and a higher level never for less', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 12 }),
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 1, max: 9 }),
      fc.constantFrom('never-out' as const, 'at-least' as const),
      (days, eaten, packs, kind) => {
        const rows = days
          .sort((a, b) => a - b)
          .map((ahead) => pack({ governingDate: addDays(TODAY, ahead), useBy: addDays(TODAY, ahead) }));
        const need = (of: readonly StockRow[], level: number): number =>
          neededPacks(of, { kind, packs: level, size: LITRE }, eatenOf(eaten), how).need;
        const base = need(rows, packs);
        expect(base).toBeGreaterThanOrEqual(0);
        expect(
          need([...rows, pack({ governingDate: '2027-11-01', useBy: '2027-11-01' })], packs),
        ).toBeLessThanOrEqual(base);
        expect(need(rows, packs + 1)).toBeGreaterThanOrEqual(base);
      },
    ),
  );
});

/**
 * Eight weeks of a house that shops on Saturdays by the list and eats first out every day, now more, now less.
 *
 * @param aWeek packs a week on average, @param keeps days a bought pack keeps
 */
function live(level: Level, aWeek: number, keeps: number, pace: readonly number[]) {
  let stock: StockRow[] = [];
  const log: { on: string }[] = [];
  let [without, thrown, bought, most, owed] = [0, 0, 0, 0, 0];
  for (let day = 0; day < 56; day++) {
    const today = addDays(TODAY, day);
    const fresh = stock.filter(({ governingDate }) => governingDate >= today);
    thrown += stock.length - fresh.length;
    stock = fresh;
    if (day % 7 === 0) {
      // The house was watched for four weeks before, at its own mean.
      const eaten = [...eatenOf(Math.round(aWeek * 4)), ...eatenOf(log.length)];
      const { need } = neededPacks(stock, level, eaten, {
        mayEat: mayEatOn(TODAY),
        today,
        days: 28 + day,
        everyDays: 7,
        keepsDays: keeps > 60 ? null : keeps,
      });
      bought += need;
      for (let at = 0; at < need; at++)
        stock.push(pack({ startOn: today, governingDate: addDays(today, keeps), useBy: null }));
      most = Math.max(most, stock.length);
    }
    owed += (aWeek / 7) * (pace[day] ?? 1);
    while (owed >= 1) {
      owed -= 1;
      if (stock.shift()) log.push({ on: today });
      else without += 1;
    }
  }
  return { without, thrown, bought, most, left: stock.length, ate: log.length };
}

const anyPace = fc.array(fc.double({ min: 0.5, max: 1.5, noNaN: true }), { minLength: 56, maxLength: 56 });

it('over eight weeks of eating what must never run out never does, the books balance, and nothing long-kept is thrown out', () => {
  fc.assert(
    fc.property(fc.constantFrom(0.5, 1, 2, 4, 7, 10), anyPace, (aWeek, pace) => {
      const told = live(NEVER, aWeek, 200, pace);
      expect(told.without).toBe(0);
      expect(told.thrown).toBe(0);
      expect(told.bought).toBe(told.ate + told.left);
      // Nor does it pile up: never more than the level and a sure week.
      expect(told.most).toBeLessThanOrEqual(Math.ceil(1 + aWeek * 1.6 + 1.65 * Math.sqrt(aWeek * 1.6)) + 1);
    }),
    { numRuns: 60 },
  );
});

it('of what keeps for days only, no more is bought than is eaten while it is good', () => {
  fc.assert(
    fc.property(fc.constantFrom(1, 3, 7), anyPace, (aWeek, pace) => {
      const told = live({ kind: 'at-least', packs: 2, size: LITRE }, aWeek, 7, pace);
      expect(told.bought).toBe(told.ate + told.left + told.thrown);
      expect(told.thrown).toBeLessThanOrEqual(8 + told.bought * 0.35);
    }),
    { numRuns: 40 },
  );
});
