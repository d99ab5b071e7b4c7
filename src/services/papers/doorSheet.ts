import QRCode from 'qrcode';
import { sayFullDate } from '@/core/calendar/sayDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { viewContext } from '../household/context';
import { Problem } from '../door/problem';
import { drawQr } from './labels';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';
import { publicUrl } from './publicUrl';

const PAGE_MM = [210, 297] as const;
const EDGE = 13 * MM;
const BOX_PT = 17;
const GAP_PT = 5;
const QR_PT = 54;
const LINE_PT = 25;

/** The list for the door: names large, a box for every pack to cross out, a code to come back by. @throws Problem 404 */
export async function printDoorSheet({ sheet: code }: { sheet: string }): Promise<Buffer> {
  const { household } = await viewContext();
  const sheet = (await readKept(sql(), household.id, ['sheet'])).sheet.get(code.toUpperCase());
  if (!sheet) throw new Problem(404, 'not-found', 'There is no such door sheet. Print a new one.');
  const { document, page, done } = beginPaper('Orderly Frost door sheet', PAGE_MM, household.settings);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  const qr = QRCode.create(`${publicUrl()}/stock/sheet?code=${sheet.code}`, { errorCorrectionLevel: 'M' });
  const boxesFrom = EDGE + wide * 0.52;
  const aRow = Math.floor((EDGE + wide - boxesFrom) / (BOX_PT + GAP_PT));
  let y = bottom;
  const head = (): void => {
    document.addPage(page);
    drawQr(document, qr.modules, EDGE + wide - QR_PT, EDGE, QR_PT);
    document.font('heading').fontSize(22).fillColor(PAPER_INK);
    document.text(sheet.called, EDGE, EDGE, { width: wide - QR_PT - 10, height: 28, ellipsis: true });
    document.font('text').fontSize(10.5).fillColor(PAPER_SLATE);
    const on = sayFullDate(dateInZone(sheet.printedAt, household.timeZone));
    document.text(
      `${on} · sheet ${sheet.code}. Cross out a box for every pack that is taken; the first line of a kind goes first. To catch up, scan the code, or open Stock, Door sheet.`,
      EDGE,
      EDGE + 29,
      { width: wide - QR_PT - 14, height: 28, ellipsis: true },
    );
    y = EDGE + 68;
  };
  head();
  for (const { name, packages } of sheet.groups) {
    const rows = Math.ceil(packages.length / aRow);
    const high = Math.max(LINE_PT, rows * (BOX_PT + GAP_PT) + 3);
    if (y + high > bottom) head();
    document.font('heading').fontSize(14).fillColor(PAPER_INK);
    document.text(name, EDGE, y + 2, { width: wide * 0.5, height: 18, ellipsis: true });
    packages.forEach((_, at) => {
      const x = boxesFrom + (at % aRow) * (BOX_PT + GAP_PT);
      const top = y + Math.floor(at / aRow) * (BOX_PT + GAP_PT);
      document.rect(x, top, BOX_PT, BOX_PT).lineWidth(1.1).stroke(PAPER_INK);
    });
    y += high;
  }
  document.end();
  return done;
}
