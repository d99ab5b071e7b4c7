import { index } from '../../../tests/fixtures/reference';
import { TYPED_ON, TYPED_ZONES } from '../../../tests/fixtures/typedLines';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { readVerb, verbOf } from './readVerb';

const vocabulary = { foods: index, zones: TYPED_ZONES, today: TYPED_ON };
const read = (text: string) => {
  const reading = readVerb(text, vocabulary);
  return reading && { ...reading, foods: reading.foods.map(({ id }) => id), zone: reading.zone?.id ?? null };
};

it.each([
  ['take 500 g beef mince', { verb: 'take', foods: ['ground-beef'], amount: { amount: 500, unit: 'g' } }],
  [
    'Take 1.2kg minced venison or lamb mince for fri',
    { foods: ['ground-venison', 'ground-lamb'], amount: { amount: 1200, unit: 'g' }, on: '2026-11-27' },
  ],
  ['take 2 eggs tonight', { foods: ['eggs-in-shell'], amount: null, count: 2, on: '2026-11-25' }],
  ['take 300 ml milk by 1 dec', { foods: ['milk'], amount: { amount: 300, unit: 'ml' }, on: '2026-12-01' }],
  ['take 3 stew', { foods: ['stew'], amount: null, count: 3 }],
  ['take stew', { foods: ['stew'], count: 1 }],
  ['take 200 g cheddar', { foods: ['hard-cheese'], amount: { amount: 200, unit: 'g' } }],
  ['use half a pound of butter', { verb: 'take', foods: ['butter'], amount: { amount: 227, unit: 'g' } }],
  ['open milk', { verb: 'open', foods: ['milk'], count: 1 }],
  ['move trout > layer 1', { verb: 'move', foods: ['trout'], zone: 'layer-1' }],
  ['freeze 2 trout', { verb: 'freeze', foods: ['trout'], count: 2 }],
  ['thaw trout for sat', { verb: 'thaw', foods: ['trout'], on: '2026-11-28' }],
  ['bin yogurt mouldy', { verb: 'bin', foods: ['yogurt'], reason: 'spoiled' }],
  ['throw out the yoghurt', { verb: 'bin', foods: ['yogurt'], reason: 'unwanted' }],
  ['where is the butter?', { verb: 'where', foods: ['butter'] }],
  ['where butter', { verb: 'where', foods: ['butter'] }],
  ['undo', { verb: 'undo', foods: [] }],
])('%s', (text, expected) => {
  expect(read(text)).toMatchObject({ fault: '', ...expected });
});

it.each([
  ['take 500 g', /Of what/],
  ['take 500 kg venison', /200 kg/],
  ['take 500 g ham', /several/],
  ['take 500 g venison for whenever', /which day/],
  ['take 500 g venison for 20 nov', /gone by/],
  ['move trout', /Where to/],
  ['take 500', /Of what/],
  ['take butter 500', /what/],
])('asks: %s', (text, fault) => {
  expect(read(text)?.fault).toMatch(fault);
});

it('offers whole lines to pick, and leaves other lines alone', () => {
  expect(read('take 500 g ham')?.candidates[0]).toBe('take 500 g ham sliced cooked');
  for (const text of [
    'takeaway 400 g',
    'take away curry 400 g',
    'freeze-dried strawberries 100 g',
    'freeze dried mango 50 g',
    'open milk 2 l',
    'trout 1 kg',
    'take',
    'undone',
  ])
    expect([text, verbOf(text)]).toEqual([text, null]);
});

const HERE = Object.fromEntries(
  `butter milk eggs-in-shell trout stew bread yogurt ground-beef rice-cooked hard-cheese ham-sliced frozen-vegetables chicken-thighs-raw
  chicken-cooked strawberries`
    .split(/\s+/)
    .map((id) => [id, 1]),
);
const inStock = { ...vocabulary, here: HERE };
const told = readFileSync(path.join(process.cwd(), 'tests/fixtures/verbLines.txt'), 'utf8')
  .split('\n')
  .filter((row) => row.includes(' => ') && !row.startsWith('#'))
  .map((row) => row.split(' => ').map((part) => part.trim()) as [string, string]);

/** In the words of the table: verb, food, then what else was said. */
function sayVerb(text: string): string {
  const reading = readVerb(text, inStock);
  if (!reading) return 'none';
  if (reading.fault !== '') return '?';
  const { verb, foods, share, amount, count, zone, on, reason } = reading;
  return [
    verb,
    ...foods.map(({ id }) => id),
    ...(amount ? [`${amount.amount}${amount.unit}`] : []),
    ...(count > 1 ? [`×${count}`] : []),
    ...(share === null ? [] : [`share=${share}`]),
    ...(reason === 'unwanted' ? [] : [`reason=${reason}`]),
    ...(zone ? [`zone=${zone.id}`] : []),
    ...(on ? [`on=${on}`] : []),
  ].join(' ');
}

it.each(told)('said of what is here: %s => %s', (text, meant) => {
  expect(sayVerb(text)).toBe(meant);
});
