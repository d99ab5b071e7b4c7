import type { QuickZone } from './quickLine';
import { readPlaceWords } from './readPlaceWords';

const ZONES: QuickZone[] = [
  { id: '1', name: 'Layer 1', appliance: 'Boat-shed chest', cold: 'freezer' },
  { id: '2', name: 'Layer 2', appliance: 'Boat-shed chest', cold: 'freezer' },
  { id: '3', name: 'Top shelf', appliance: 'Larder fridge', cold: 'fridge' },
  { id: '4', name: 'Top shelf', appliance: 'Cellar fridge', cold: 'fridge' },
  { id: '5', name: 'Drawer 1', appliance: 'Under-drawer', cold: 'freezer' },
  { id: '6', name: 'Leaf drawer', appliance: 'Larder fridge', cold: 'fridge' },
];

function place(text: string): string | null | string[] {
  const read = readPlaceWords(text.split(' '), ZONES);
  return 'zone' in read ? (read.zone?.id ?? null) : read.candidates.map(({ id }) => id);
}

it.each<[string, string | null | string[]]>([
  ['layer 1', '1'],
  ['LAYER 2', '2'],
  ['layers 2', '2'],
  ['chest layer 1', '1'],
  ['layer 1 boat shed chest', '1'],
  ['top shelf larder', '3'],
  ['cellar', '4'],
  ['leaf', '6'],
  ['drawer 1', '5'],
  ['counter', null],
  ['top shelf', ['3', '4']],
  ['layer', ['1', '2']],
  ['attic', []],
])('“%s”', (text, expected) => {
  expect(place(text)).toEqual(expected);
});

it('takes the longest run of words that is a place and leaves the rest', () => {
  expect(readPlaceWords(['layer', '1', 'opened', 'yesterday'], ZONES)).toMatchObject({ words: 2 });
  expect(readPlaceWords(['leaf', 'use', 'by'], ZONES)).toMatchObject({ words: 1 });
});
