import { datedAsTold } from './datedAsTold';

const TOLD = 1_000_000;
const take = { type: 'package.take', package: 'jar', version: 1 };
const fromCard = { type: 'cut.read', c: -15, at: '2026-11-25T08:00:00.000Z' };

test('what waited behind another, or is sent again, says how long ago it was told', () => {
  expect(datedAsTold([take], { toldAt: TOLD, now: TOLD + 40, again: false })).toEqual([take]);
  expect(datedAsTold([take], { toldAt: TOLD, now: TOLD + 90_000, again: false })).toEqual([
    { ...take, ago_ms: 90_000 },
  ]);
  expect(datedAsTold([take], { toldAt: TOLD, now: TOLD + 40, again: true })).toEqual([
    { ...take, ago_ms: 40 },
  ]);
  // A clock set back meanwhile dates nothing after now.
  expect(datedAsTold([take], { toldAt: TOLD, now: TOLD - 5000, again: true })).toEqual([
    { ...take, ago_ms: 0 },
  ]);
});

test('what tells its own instant keeps it, however late it comes', () => {
  expect(datedAsTold([take, fromCard], { toldAt: TOLD, now: TOLD + 5000, again: true })).toEqual([
    { ...take, ago_ms: 5000 },
    fromCard,
  ]);
});
