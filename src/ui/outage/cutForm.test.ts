import { type CutForm, formFault, toRequest } from './cutForm';

const fridge: CutForm = {
  id: 'f',
  name: 'Larder fridge',
  kind: 'fridge',
  told: true,
  fillPercent: 62,
  doors: 'shut',
  telltale: 'loose',
  readings: [],
};
const chest: CutForm = { ...fridge, id: 'c', name: 'Chest', kind: 'freezer' };

describe('what is wrong with the form', () => {
  it.each([
    ['nothing told yet', '', '', [fridge], ''],
    ['a good form', '2026-01-05T10:00', '2026-01-05T12:00', [fridge], ''],
    ['still off', '2026-01-05T10:00', '', [fridge], ''],
    ['off after now', '2999-01-05T10:00', '', [fridge], 'cannot have gone off after now'],
    ['back before off', '2026-01-05T10:00', '2026-01-05T09:59', [fridge], 'came back before it went'],
    ['back after now', '2026-01-05T10:00', '2999-01-05T10:00', [fridge], 'cannot have come back after now'],
    ['no appliance', '2026-01-05T10:00', '', [{ ...fridge, told: false }], 'at least one appliance'],
    [
      'a reading without a time',
      '2026-01-05T10:00',
      '',
      [{ ...fridge, readings: [{ at: '', c: '3' }] }],
      'Larder fridge: a reading needs',
    ],
    [
      'a reading in words',
      '2026-01-05T10:00',
      '',
      [{ ...fridge, readings: [{ at: '2026-01-05T11:00', c: 'cold' }] }],
      'Larder fridge: a reading needs',
    ],
  ])('%s', (_what, from, until, forms, says) => {
    const fault = formFault(from, until, forms);
    if (says === '') expect(fault).toBe('');
    else expect(fault).toContain(says);
  });
});

it('asks only about what lost power, with readings in instants and a telltale for freezers alone', () => {
  const request = toRequest(
    '2026-01-05T10:00',
    '',
    [
      {
        ...fridge,
        readings: [
          { at: '2026-01-05T11:30', c: '3,5' },
          { at: '', c: '' },
        ],
      },
      chest,
      { ...chest, id: 'd', told: false },
    ],
    { p1: { ice_crystals: true } },
  );
  expect(request.appliances.map(({ id, telltale, fill, until }) => [id, telltale, fill, until])).toEqual([
    ['f', 'none', 0.62, null],
    ['c', 'loose', 0.62, null],
  ]);
  expect(request.appliances[0]?.readings).toEqual([
    { at: new Date('2026-01-05T11:30').toISOString(), c: 3.5 },
  ]);
  expect(request.seen).toEqual({ p1: { ice_crystals: true } });
});
