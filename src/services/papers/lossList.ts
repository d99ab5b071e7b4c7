import { dateInZone } from '@/core/calendar/dateInZone';
import { sayFullDate } from '@/core/calendar/sayDate';
import { sayHours } from '@/core/powercut/sayCut';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readPhoto } from '@/store/photos';
import { readLosses } from '../outage/losses';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

const PAGE_MM = [210, 297] as const;
const EDGE = 14 * MM;
const LINE_PT = 44;
const PHOTO_PT = 54;
const HOUR_MS = 3_600_000;

/** What was lost in a power cut on paper, for an insurer: weight, price, why, and a place for a photo of each. */
export async function printLosses(query: { cut: string }): Promise<Buffer> {
  const { household, today, cut, things, totals } = await readLosses(query);
  const photos = new Map<string, Buffer>();
  for (const { photo } of things) {
    const jpeg = photo === null ? null : await readPhoto(sql(), household.id, photo);
    if (photo !== null && jpeg) photos.set(photo, jpeg);
  }
  const { document, page, done } = beginPaper('Orderly Frost loss list', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  const money = (minor: number): string =>
    new Intl.NumberFormat('en-GB', { style: 'currency', currency: household.currency }).format(minor / 100);
  const day = (at: string): string => sayFullDate(dateInZone(at, household.timeZone));
  let y = bottom;
  const write = (words: string, x: number, dy: number, width: number, size: number, bold = false): void => {
    document
      .font(bold ? 'heading' : 'text')
      .fontSize(size)
      .fillColor(bold ? PAPER_INK : PAPER_SLATE)
      .text(words, x, y + dy, { width, height: size * 1.25, ellipsis: true });
  };
  const begin = (): void => {
    document.addPage(page);
    y = EDGE;
  };
  begin();
  write('Lost in a power cut', EDGE, 0, wide, 18, true);
  const lasted =
    cut.until === null ? 'still lasting' : sayHours((Date.parse(cut.until) - Date.parse(cut.from)) / HOUR_MS);
  write(
    `${household.name} · ${day(cut.from)}, ${lasted} · printed ${sayFullDate(today)}`,
    EDGE,
    24,
    wide,
    10,
  );
  const weights = [
    totals.grams > 0 ? sayAmount(totals.grams, 'g') : '',
    totals.millilitres > 0 ? sayAmount(totals.millilitres, 'ml') : '',
    totals.pieces > 0 ? `${totals.pieces} pieces` : '',
  ].filter((words) => words !== '');
  write(
    `${totals.packs} packages · ${[...weights, money(totals.minor)].join(' · ')}${totals.unpriced > 0 ? ` · ${totals.unpriced} without a price` : ''}`,
    EDGE,
    38,
    wide,
    11,
    true,
  );
  y += 62;
  for (const one of things) {
    if (y + LINE_PT > bottom) begin();
    const photo = photos.get(one.photo ?? '');
    const frame = [EDGE + wide - PHOTO_PT, y, PHOTO_PT, LINE_PT - 8] as const;
    if (photo) document.image(photo, frame[0], y, { fit: [PHOTO_PT, LINE_PT - 8], align: 'center' });
    else write('photo', frame[0] + 15, 12, PHOTO_PT - 16, 8);
    document
      .rect(...frame)
      .lineWidth(0.6)
      .stroke(PAPER_SLATE);
    write(`${one.called}, ${sayAmount(one.amount, one.unit)}`, EDGE, 0, wide * 0.58, 12, true);
    write(
      one.priceMinor === null ? 'no price' : money(one.priceMinor),
      EDGE + wide * 0.6,
      1,
      wide * 0.22,
      11,
      true,
    );
    write(`${one.code} · rule ${one.rule} · ${day(one.on)}`, EDGE, 15, wide * 0.8, 9);
    write(one.evidence, EDGE, 26, wide - PHOTO_PT - 10, 8.5);
    y += LINE_PT;
  }
  if (things.length === 0) write('Nothing was lost.', EDGE, 0, wide, 12);
  document.end();
  return done;
}
