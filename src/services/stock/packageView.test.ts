import { classes, foods, index } from '../../../tests/fixtures/reference';
import { NO_RULES } from '@/core/model/drawing';
import type { Package } from '@/core/model/package';
import { mayEat, UNKNOWN_FOOD } from '@/core/keeping/mayEat';
import { toPackageView, type ViewContext } from './packageView';
import { toCounter } from '../haul/counter';

const CONTEXT: ViewContext = {
  mayEat: (found) =>
    mayEat(found, {
      today: '2026-11-25',
      at: '2026-11-25T12:00:00.000Z',
      hot: false,
      food: index.byId.get(found.foodId) ?? UNKNOWN_FOOD,
      cut: null,
    }),
  today: '2026-11-25',
  at: '2026-11-25T12:00:00.000Z',
  reference: {
    classes,
    index,
    byId: index.byId,
    plain: new Map(),
    wishes: new Map(),
    foods: foods.map((food) => ({ ...food, own: false, retired: false })),
  },
  kitchen: {
    appliances: [
      { id: 'a', name: 'Larder fridge', room: 'Larder', shape: 'fridge', position: 0, version: 1 },
    ],
    compartments: [],
    zones: [
      {
        ...NO_RULES,
        id: 'z',
        applianceId: 'a',
        compartmentId: 'c',
        parentId: null,
        name: 'Top shelf',
        purpose: '',
        kind: 'shelf',
        side: 'body',
        xMm: 0,
        yMm: 0,
        zMm: 0,
        widthMm: 400,
        depthMm: 300,
        heightMm: 200,
        litres: 24,
        temperatureC: 4,
        assumedC: 4,
        measured: null,
        humidity: null,
        lifts: 0,
        applianceName: 'Larder fridge',
        cold: 'fridge',
      },
    ],
  },
};

const CHOWDER: Package = {
  id: 'p',
  lotId: 'l',
  foodId: 'seafood-chowder',
  called: 'Chowder',
  code: 'KT47',
  amount: 600,
  unit: 'ml',
  form: null,
  wrap: 'tub',
  blanched: true,
  priceMinor: null,
  note: '',
  zoneId: 'z',
  counterSince: null,
  history: [{ did: 'cooked', on: '2026-11-22' }],
  printed: null,
  state: 'chilled',
  startOn: '2026-11-22',
  openedOn: null,
  useBy: '2026-11-26',
  bestBy: '2026-11-25',
  governingDate: '2026-11-26',
  governingKind: 'use-by',
  condemned: false,
  celsius: 4,
  counterMinutes: 0,
  trail: [],
  cameOn: '2026-11-20',
  answer: null,
  unanswered: [],
  cap: null,
  gone: null,
  version: 1,
};

const view = (change: Partial<Package> = {}) => toPackageView({ ...CHOWDER, ...change }, CONTEXT);

describe('a package as it is shown', () => {
  it('says what, where, since when and until when in words', () => {
    expect(view()).toMatchObject({
      food: { name: 'Chowder', judged_as: 'Seafood chowder or fish soup' },
      amount_words: '600 ml',
      story: 'Top shelf · cooked Sun',
      due_words: 'tomorrow',
      due_full: 'use by Thursday 26 November 2026',
      left_words: '1 day left',
      band: 'soon',
      verdict: 'eat',
      spent: 0.75,
    });
  });

  it('tells the last thing that matters, passing over moves and the counter', () => {
    const history: Package['history'] = [
      ...CHOWDER.history,
      { did: 'frozen', on: '2026-11-23' },
      { did: 'moved', on: '2026-11-24', c: -20 },
      { did: 'counter', on: '2026-11-24', minutes: 5 },
    ];
    expect(view({ history }).story).toBe('Top shelf · frozen Mon');
  });

  it.each<[string, Partial<Package>, object]>([
    [
      'past',
      { useBy: '2026-11-24', governingDate: '2026-11-24' },
      { band: 'past', verdict: 'discard', due_words: 'past', spent: 1 },
    ],
    ['condemned before its date', { condemned: true }, { verdict: 'discard', band: 'soon' }],
    [
      'on the counter',
      { counterSince: '2026-11-25T09:00:00.000Z', zoneId: null },
      { state: 'counter', zone: null, story: 'On the counter · cooked Sun' },
    ],
    [
      'of a food that is not known any more',
      { foodId: 'gone-food' },
      { food: { id: 'gone-food', name: 'Chowder', judged_as: 'gone-food' } },
    ],
  ])('%s', (_what, change, expected) => {
    expect(view(change)).toMatchObject(expected);
  });
});

it('over two hours on the counter is not for eating, on whatever screen', () => {
  const counter = { zoneId: null, counterMinutes: 30 };
  expect(view({ ...counter, counterSince: '2026-11-25T10:31:00.000Z' }).verdict).toBe('eat');
  expect(view({ ...counter, counterSince: '2026-11-25T10:30:00.000Z' }).verdict).toBe('discard');
});

describe('the counter', () => {
  const out = (code: string, since: string | null, change: Partial<Package> = {}) =>
    view({ code, counterSince: since, zoneId: since === null ? 'z' : null, ...change });

  it('counts down from two hours, earlier minutes included, the most pressing first', () => {
    const items = toCounter([
      out('AA22', '2026-11-25T11:51:00.000Z'),
      out('AB22', '2026-11-25T11:22:00.000Z', { counterMinutes: 45 }),
      out('AC22', null),
      out('AD22', '2026-11-25T09:00:00.000Z'),
      out('AE22', '2026-11-25T11:00:00.000Z', { foodId: 'bread' }),
    ]);
    expect(items.map(({ code, minutes_left }) => [code, minutes_left])).toEqual([
      ['AD22', -60],
      ['AB22', 37],
      ['AA22', 111],
      ['AE22', null],
    ]);
  });

  it('a clock set back by the host never adds minutes', () => {
    expect(toCounter([out('AA22', '2026-11-25T13:00:00.000Z')])[0]?.minutes_left).toBe(120);
  });
});
