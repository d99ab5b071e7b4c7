import { brokenText } from './brokenText';

it.each([
  ['a broken text', { lines: [{ called: 'trout \ud83d' }] }, 'lines.0.called'],
  ['a broken name', { lines: { '\ud83d': 1 } }, 'lines'],
  ['a whole character', { lines: [{ called: 'trout 🐟' }] }, null],
  ['no text', [1, null, true], null],
])('%s', (_what, value, place) => {
  expect(brokenText(value)).toBe(place);
});

it('nesting without end is refused', () => {
  let value: unknown = 1;
  for (let depth = 0; depth < 100_000; depth++) value = [value];
  expect(brokenText(value)).not.toBeNull();
});
