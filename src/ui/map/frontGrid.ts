import type { Box } from '@/core/model/drawing';

/** Something with a box, seen from the front. */
export interface Fronted {
  box: Box;
}

/** Things that stand behind each other, and their place in a grid (lines count from 1). */
export interface FrontCell<Item> {
  items: Item[];
  column: [from: number, to: number];
  row: [from: number, to: number];
}

const right = ({ xMm, widthMm }: Box): number => xMm + widthMm;
const foot = ({ yMm, heightMm }: Box): number => yMm + heightMm;

const hides = (a: Box, b: Box): boolean =>
  Math.min(right(a), right(b)) > Math.max(a.xMm, b.xMm) &&
  Math.min(foot(a), foot(b)) > Math.max(a.yMm, b.yMm);

/** The box around some boxes, as far as the front shows it. */
function around(boxes: readonly Box[]): Box {
  const xMm = Math.min(...boxes.map((box) => box.xMm));
  const yMm = Math.min(...boxes.map((box) => box.yMm));
  const widthMm = Math.max(...boxes.map(right)) - xMm;
  const heightMm = Math.max(...boxes.map(foot)) - yMm;
  return { xMm, yMm, zMm: 0, widthMm, heightMm, depthMm: 0 };
}

/** Puts together what stands behind each other, until no two cells share a place. */
function cells<Item extends Fronted>(items: readonly Item[]): { items: Item[]; box: Box }[] {
  const found: { items: Item[]; box: Box }[] = [];
  for (const item of items) {
    let mine = { items: [item], box: item.box };
    for (let at = found.findIndex(({ box }) => hides(box, mine.box)); at >= 0;) {
      const [other] = found.splice(at, 1);
      if (other) mine = { items: [...other.items, ...mine.items], box: around([other.box, mine.box]) };
      at = found.findIndex(({ box }) => hides(box, mine.box));
    }
    found.push(mine);
  }
  return found;
}

/**
 * A front elevation as a grid: tracks as large as the measures are, mm, and the lines each thing stands between. What stands
 * behind something shares its cell.
 */
export function frontGrid<Item extends Fronted>(
  items: readonly Item[],
  size: { widthMm: number; heightMm: number },
): { columns: number[]; rows: number[]; cells: FrontCell<Item>[] } {
  const found = cells(items);
  const lines = (edges: number[]): number[] => [...new Set(edges)].sort((a, b) => a - b);
  const xs = lines([0, size.widthMm, ...found.flatMap(({ box }) => [box.xMm, right(box)])]);
  const ys = lines([0, size.heightMm, ...found.flatMap(({ box }) => [box.yMm, foot(box)])]);
  const tracks = (edges: number[]): number[] => edges.slice(1).map((edge, at) => edge - (edges[at] ?? 0));
  return {
    columns: tracks(xs),
    rows: tracks(ys),
    cells: found
      .map(({ items: inside, box }) => ({
        items: inside,
        column: [xs.indexOf(box.xMm) + 1, xs.indexOf(right(box)) + 1] as [number, number],
        row: [ys.indexOf(box.yMm) + 1, ys.indexOf(foot(box)) + 1] as [number, number],
      }))
      .sort((a, b) => a.row[0] - b.row[0] || a.column[0] - b.column[0]),
  };
}
