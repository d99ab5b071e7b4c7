import { sayFullDate } from '@/core/calendar/sayDate';
import { viewContext } from '../household/context';
import { readShopping } from '../shopping/shopping';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

/** A strip that fits a hand: half an A5. */
const PAGE_MM = [105, 210] as const;
const EDGE = 9 * MM;

/** The shopping list on paper, in the order of the shop, with boxes to tick. */
export async function printShopping(): Promise<Buffer> {
  const { household, today } = await viewContext();
  const { lines, groups, total_words } = await readShopping();
  const { document, page, done } = beginPaper('Orderly Frost shopping', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  let y = bottom;
  const write = (font: 'heading' | 'text', size: number, words: string, x = EDGE): void => {
    const width = wide - (x - EDGE);
    document.font(font).fontSize(size);
    const high = Math.min(document.heightOfString(words, { width }), size * 2.6);
    if (y + high > bottom) {
      document.addPage(page);
      y = EDGE;
      document.font(font).fontSize(size);
    }
    document
      .fillColor(font === 'heading' ? PAPER_INK : PAPER_SLATE)
      .text(words, x, y, { width, height: high, ellipsis: true });
    y += high;
  };
  write('heading', 15, 'Shopping');
  write(
    'text',
    8.5,
    `${household.name}, ${sayFullDate(today)}${total_words === '' ? '' : ` · ${total_words}`}`,
  );
  const wanted = lines.filter(({ line }) => !line.ticked);
  for (const { id, name } of groups) {
    const its = wanted.filter(({ group }) => group === id);
    if (its.length === 0) continue;
    y += 7;
    write('text', 9, name);
    for (const { words } of its) {
      y += 3;
      write('heading', 12, words, EDGE + 18);
      document
        .rect(EDGE, y - 13, 10, 10)
        .lineWidth(0.8)
        .stroke(PAPER_SLATE);
    }
  }
  if (wanted.length === 0) write('text', 12, 'Nothing is on the list.');
  document.end();
  return done;
}
