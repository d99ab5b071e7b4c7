import { sayFullDate } from '@/core/calendar/sayDate';
import { viewContext } from '../household/context';
import { readLeaving } from '../leaving/leaving';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

/** A slip that goes along with what is given: half an A5. */
const PAGE_MM = [105, 210] as const;
const EDGE = 9 * MM;

/** What may be given away on paper: what it is, until when, and whether a food pantry takes it. */
export async function printGiveList(): Promise<Buffer> {
  const { household, today } = await viewContext();
  const { give } = await readLeaving();
  const { document, page, done } = beginPaper('Orderly Frost to give away', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  let y = bottom;
  const write = (font: 'heading' | 'text', size: number, words: string): void => {
    document.font(font).fontSize(size);
    const high = Math.min(document.heightOfString(words, { width: wide }), size * 3.9);
    if (y + high > bottom) {
      document.addPage(page);
      y = EDGE;
      document.font(font).fontSize(size);
    }
    document
      .fillColor(font === 'heading' ? PAPER_INK : PAPER_SLATE)
      .text(words, EDGE, y, { width: wide, height: high, ellipsis: true });
    y += high;
  };
  write('heading', 15, 'To give away');
  write('text', 8.5, `${household.name}, ${sayFullDate(today)} · closed, sound, kept cold until now`);
  for (const one of give) {
    y += 6;
    write('heading', 12, `${one.called} ${one.alike > 1 ? `${one.alike} × ` : ''}${one.amount_words}`);
    write(
      'text',
      9,
      `${one.alike > 1 ? '' : `${one.code} · `}eat by ${sayFullDate(one.until)}${one.pantry ? ' · a food pantry takes its kind' : ` · neighbours only: ${one.why}`}`,
    );
  }
  if (give.length === 0) write('text', 12, 'Nothing is to be given away.');
  y += 8;
  write('text', 8.5, 'Keep it cold on the way. When in doubt, throw it out. Ask the pantry what it takes.');
  document.end();
  return done;
}
