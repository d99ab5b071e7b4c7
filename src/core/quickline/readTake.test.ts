import { index } from '../../../tests/fixtures/reference';
import { isTake, readTake } from './readTake';

const vocabulary = { foods: index, zones: [], today: '2026-11-25' };
const read = (text: string) => {
  const { foods, ...rest } = readTake(text, vocabulary);
  return { ...rest, foods: foods.map(({ id }) => id) };
};

it.each([
  ['take 500 g beef mince', ['ground-beef'], 500, 'g', null],
  ['Take 1.2kg venison or lamb mince for fri', ['venison', 'ground-lamb'], 1200, 'g', '2026-11-27'],
  ['take 2 eggs tonight', ['eggs-in-shell'], 2, 'pc', '2026-11-25'],
  ['take 300 ml milk by 1 dec', ['milk'], 300, 'ml', '2026-12-01'],
])('%s', (text, foods, amount, unit, on) => {
  expect(read(text)).toMatchObject({ foods, amount, unit, on, fault: '' });
});

it.each([
  ['take venison', /How much/],
  ['take 500 g', /How much|Of what/],
  ['take 500 kg venison', /more than 200 kg/],
  ['take 500 g vennisson', /not known/],
  ['take 500 g venison for whenever', /which day|not known/],
])('asks: %s', (text, fault) => {
  expect(read(text).fault).toMatch(fault);
});

it('offers the nearest names as whole lines to pick, and leaves other lines alone', () => {
  expect(read('take 500 g vennison').candidates[0]).toMatch(/^take 500 g venison/);
  expect(isTake('takeaway curry 400 g')).toBe(false);
});
