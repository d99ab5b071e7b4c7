import { foods } from '../../../tests/fixtures/reference';
import { addDays, daysBetween } from '../calendar/calendarDate';
import { type HistoryEvent, THAW_METHODS, USUAL_CONDITIONS } from '../model/history';
import { judgeKeeping } from './judgeKeeping';

const BOUGHT = '2027-01-10';
const THAWED = '2028-06-10';
const freezable = foods.filter(
  ({ freezeFit, fridgeDaysMax }) => freezeFit !== 'no' && (fridgeDaysMax ?? 0) > 0,
);

function history(waited: number, last: HistoryEvent): HistoryEvent[] {
  return [{ did: 'bought', on: BOUGHT }, { did: 'frozen', on: addDays(BOUGHT, waited) }, last];
}

describe('every controlled food, thawed in the fridge', () => {
  it('has its thawed days or what was left when it was frozen, whichever is less', () => {
    for (const food of freezable.filter(({ controlled }) => controlled)) {
      const most = food.fridgeDaysMax ?? 0;
      for (const waited of [0, 1, most]) {
        if (waited > most) continue;
        const told = judgeKeeping(
          food,
          history(waited, { did: 'thawed', on: THAWED, method: 'fridge' }),
          THAWED,
        );
        const left = Math.min(food.thawedDays ?? 1, most - waited);
        expect([food.id, waited, daysBetween(THAWED, told.useBy ?? '')]).toEqual([food.id, waited, left]);
        expect(told.bestBy).toBe(told.useBy);
      }
    }
  });

  it('washed damp while it thaws and thawed sooner than thought: the trail ends at the date that governs', () => {
    const steak = freezable.find(({ id }) => id === 'beef-steak');
    if (!steak) throw new Error('no steak');
    const told: HistoryEvent[] = [
      ...history(0, { did: 'thawing', on: THAWED }),
      { did: 'washed', on: THAWED, dried: false },
      { did: 'thawed', on: THAWED, method: 'fridge' },
    ];
    const { trail, governing } = judgeKeeping(steak, told, THAWED, { ...USUAL_CONDITIONS, thawHours: 24 });
    expect(trail.at(-1)?.to).toBe(governing.date);
    expect(daysBetween(THAWED, governing.date)).toBe(2);
  });

  it('moved down with no mass told, counts from the day it was moved', () => {
    for (const food of freezable) {
      const thawing = judgeKeeping(food, history(0, { did: 'thawing', on: THAWED }), THAWED);
      const thawed = judgeKeeping(food, history(0, { did: 'thawed', on: THAWED, method: 'fridge' }), THAWED);
      expect([food.id, thawing.governing, thawing.state]).toEqual([food.id, thawed.governing, 'thawing']);
    }
  });
});

describe('quick ways', () => {
  it('water and microwave mean cook at once; metal is for bread and the like', () => {
    for (const food of freezable) {
      for (const method of THAW_METHODS.filter((way) => way !== 'fridge')) {
        const tell = () => judgeKeeping(food, history(0, { did: 'thawed', on: THAWED, method }), THAWED);
        if (method === 'metal' && food.controlled) {
          expect(tell).toThrow(expect.objectContaining({ rule: 'K6' }) as Error);
        } else if (food.controlled) {
          expect([food.id, tell().useBy]).toEqual([food.id, THAWED]);
        } else {
          const figure = food.thawedDays ?? food.fridgeDaysMin ?? 1;
          expect([food.id, tell().bestBy]).toEqual([food.id, addDays(THAWED, figure)]);
        }
      }
    }
  });
});
