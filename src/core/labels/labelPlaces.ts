import sizes from './labelSizes.json';

/** One kind of label stock. All measures in mm. */
export interface LabelSize {
  id: string;
  title: string;
  kind: 'sheet' | 'roll';
  pageMm: [width: number, height: number];
  columns: number;
  rows: number;
  stickerMm: [width: number, height: number];
  topMm: number;
  leftMm: number;
  gapMm: [across: number, down: number];
}

export const LABEL_SIZES = sizes as LabelSize[];

/** Where one sticker lies: page from 0, upper left corner in mm. */
export interface LabelPlace {
  page: number;
  xMm: number;
  yMm: number;
}

/**
 * Places for a run of labels, row by row, on as many pages as it takes.
 *
 * @param count labels to print
 * @param startAt the first free sticker of the first sheet, from 1; a roll always begins at 1
 * @throws RangeError when the sheet has no such sticker
 */
export function labelPlaces(size: LabelSize, count: number, startAt: number): LabelPlace[] {
  const perPage = size.columns * size.rows;
  if (!Number.isInteger(startAt) || startAt < 1 || startAt > perPage) {
    throw new RangeError(`this stock has stickers 1 to ${perPage}, not ${startAt}`);
  }
  return Array.from({ length: count }, (_, nth) => {
    const slot = startAt - 1 + nth;
    const onPage = slot % perPage;
    return {
      page: Math.floor(slot / perPage),
      xMm: size.leftMm + (onPage % size.columns) * (size.stickerMm[0] + size.gapMm[0]),
      yMm: size.topMm + Math.floor(onPage / size.columns) * (size.stickerMm[1] + size.gapMm[1]),
    };
  });
}
