import { frontGrid } from './frontGrid';

const thing = (name: string, xMm: number, yMm: number, widthMm: number, heightMm: number) => ({
  name,
  box: { xMm, yMm, zMm: 0, widthMm, heightMm, depthMm: 300 },
});

it('a fridge of shelves over two drawers side by side becomes rows and columns in its proportions', () => {
  const things = [
    thing('top', 0, 0, 480, 140),
    thing('leaf', 0, 140, 270, 200),
    thing('fruit', 270, 140, 210, 200),
  ];
  const grid = frontGrid(things, { widthMm: 480, heightMm: 340 });
  expect([grid.columns, grid.rows]).toEqual([
    [270, 210],
    [140, 200],
  ]);
  expect(grid.cells.map(({ items, column, row }) => [items.map(({ name }) => name), column, row])).toEqual([
    [['top'], [1, 3], [1, 2]],
    [['leaf'], [1, 2], [2, 3]],
    [['fruit'], [2, 3], [2, 3]],
  ]);
});

it('what stands behind something shares its cell, and what is free stays free', () => {
  const things = [
    thing('front', 0, 0, 200, 150),
    thing('behind', 100, 0, 200, 150),
    thing('foot', 0, 300, 300, 100),
  ];
  const { cells, rows } = frontGrid(things, { widthMm: 300, heightMm: 400 });
  expect(rows).toEqual([150, 150, 100]);
  expect(cells.map(({ items }) => items.map(({ name }) => name))).toEqual([['front', 'behind'], ['foot']]);
  expect(frontGrid([], { widthMm: 300, heightMm: 400 }).cells).toEqual([]);
});
