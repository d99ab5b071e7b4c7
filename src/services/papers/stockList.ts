import { sayFullDate } from '@/core/calendar/sayDate';
import { viewContext } from '../household/context';
import { type GroupsQuery, readStockGroups } from '../stock/stockGroups';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

const PAGE_MM = [210, 297] as const;
const EDGE = 14 * MM;
const LINE_PT = 30;
/** More than a hundred pages nobody prints. */
const MOST_GROUPS = 2500;

/** What is asked for, counted in groups, as a list on paper. */
export async function printStock(query: GroupsQuery): Promise<Buffer> {
  const { household, today } = await viewContext();
  const { groups, totals, asked, count } = await readStockGroups({ ...query, limit: MOST_GROUPS });
  const { document, page, done } = beginPaper('Orderly Frost stock', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  let y = bottom;
  const head = (): void => {
    document.addPage(page);
    y = EDGE;
    document.font('heading').fontSize(16).fillColor(PAPER_INK);
    const says = asked.parts.map((part) => part.says).join(', ');
    document.text(says === '' ? 'Stock' : `Stock: ${says}`, EDGE, y, {
      width: wide,
      height: 20,
      ellipsis: true,
    });
    document.font('text').fontSize(9).fillColor(PAPER_SLATE);
    document.text(`${household.name}, ${sayFullDate(today)} · ${totals.join(' · ')}`, EDGE, y + 21, {
      width: wide,
      height: 12,
      ellipsis: true,
    });
    y += 42;
  };
  const write = (words: string, x: number, dy: number, width: number, size: number, bold = false): void => {
    document
      .font(bold ? 'heading' : 'text')
      .fontSize(size)
      .fillColor(bold ? PAPER_INK : PAPER_SLATE)
      .text(words, x, y + dy, { width, height: size * 1.25, ellipsis: true });
  };
  head();
  for (const group of groups) {
    if (y + LINE_PT > bottom) head();
    document
      .rect(EDGE, y + 4, 11, 11)
      .lineWidth(0.8)
      .stroke(PAPER_SLATE);
    write(group.name, EDGE + 20, 1, wide * 0.5, 12, true);
    write(group.due_full, EDGE + wide * 0.56, 2, wide * 0.44, 10);
    write(`${group.sizes}, oldest ${group.oldest}`, EDGE + 20, 16, wide * 0.5, 9);
    write(group.where, EDGE + wide * 0.56, 16, wide * 0.44, 9);
    y += LINE_PT;
  }
  if (groups.length === 0) write('Nothing answers to that.', EDGE, 0, wide, 12);
  if (count > groups.length) write(`… and ${count - groups.length} more`, EDGE, 0, wide, 10);
  document.end();
  return done;
}
