import type { Wording } from '@/core/units/wording';
import { ourWording } from '../household/inOurUnits';
import QRCode from 'qrcode';
import { LABEL_SIZES, labelPlaces, type LabelSize } from '@/core/labels/labelPlaces';
import { type LabelText, labelText } from '@/core/labels/labelText';
import { asFrozen } from '@/core/ledger/package/asFrozen';
import type { Package } from '@/core/model/package';
import { sql } from '@/store/database';
import { readPackagesByCodes } from '@/store/packages';
import { freezerCold } from '../haul/freezerCold';
import { viewContext } from '../household/context';
import { beginPaper, MM, type PaperFont, PAPER_INK as INK, PAPER_SLATE as SLATE, printable } from './paper';
import { Problem } from '../door/problem';
import { labelKeys } from '../keys/labelKey';
import { publicUrl } from './publicUrl';

const SMALLEST_POINTS = 6;
/** Below this width the code does not fit beside the words; from this height on it fits below them. */
const NARROW_MM = 55;
const LID_MM = 40;

/** A label as it is printed, with the address of its code. */
type PrintedLabel = LabelText & { address: string; judgedAs: string };

/** Draws the modules of a QR code as a square. */
export function drawQr(
  document: PDFKit.PDFDocument,
  modules: QRCode.QRCode['modules'],
  x: number,
  y: number,
  side: number,
): void {
  const cell = side / modules.size;
  document.fillColor('#000000');
  for (let row = 0; row < modules.size; row++) {
    for (let column = 0; column < modules.size; column++) {
      if (modules.get(row, column)) document.rect(x + column * cell, y + row * cell, cell, cell);
    }
  }
  document.fill();
}

function drawLabel(
  document: PDFKit.PDFDocument,
  size: LabelSize,
  xMm: number,
  yMm: number,
  label: PrintedLabel,
): void {
  const [widthMm, heightMm] = size.stickerMm;
  const pad = 3 * MM;
  const x = xMm * MM + pad;
  const y = yMm * MM + pad;
  const height = heightMm * MM - 2 * pad;
  // Narrow stock has its words across the whole width: a lid's code stands below them, an opened-on sticker has none.
  const narrow = widthMm < NARROW_MM;
  const coded = !narrow || heightMm >= LID_MM;
  const qrSide = narrow ? height * 0.42 : Math.min(height - 12, 19 * MM);
  const width = widthMm * MM - 2 * pad - (narrow ? 0 : qrSide + 1.5 * MM);
  const qrX = xMm * MM + widthMm * MM - pad - qrSide;
  const qrY = narrow ? y + height - qrSide - 14 : y;
  const scale = narrow ? (coded ? 1 : 0.72) : heightMm / 38;
  /** One line shrinks until it fits, so that no date is ever cut; a name may run over two. */
  const line = (
    font: PaperFont,
    points: number,
    colour: string,
    text: string,
    top: number,
    lines = 1,
  ): number => {
    document.font(font).fillColor(colour);
    let size = points * scale;
    document.fontSize(size);
    while (lines === 1 && size > SMALLEST_POINTS && document.widthOfString(text) > width) {
      size -= 0.25;
      document.fontSize(size);
    }
    const lineHeight = document.currentLineHeight();
    document.text(text, x, top, { width, height: lineHeight * lines + 0.5, ellipsis: true, lineGap: -1 });
    const used = Math.ceil(document.heightOfString(text, { width, lineGap: -1 }) / lineHeight);
    return top + Math.min(lines, Math.max(1, used)) * lineHeight;
  };
  let top = line('heading', 13, INK, printable(document, 'heading', label.name, label.judgedAs), y, 2);
  top = line('text', 10, INK, label.amount, top);
  top = line('text', 9, SLATE, label.happened, top);
  top = line('strong', 11.5, INK, label.due, top + 1);
  if (label.notFor !== '') top = line('strong', 8, INK, label.notFor, top + 0.5);
  if (!coded) {
    line('heading', 12, INK, label.code, top + 1);
    return;
  }
  if (!narrow) line('text', 7.8, SLATE, label.thenDo, top + 1, 2);
  drawQr(document, QRCode.create(label.address, { errorCorrectionLevel: 'M' }).modules, qrX, qrY, qrSide);
  document
    .font('heading')
    .fontSize(12 * scale)
    .fillColor(INK);
  document.text(label.code, qrX, qrY + qrSide + 2, { width: qrSide, align: 'center', lineBreak: false });
}

/** Draws labels as a PDF on the given stock. */
function drawLabels(
  labels: readonly PrintedLabel[],
  size: LabelSize,
  startAt: number,
  wording: Wording,
): Promise<Buffer> {
  const places = labelPlaces(size, labels.length, startAt);
  const { document, page, done } = beginPaper('Orderly Frost labels', size.pageMm, wording);
  let onPage = -1;
  labels.forEach((label, at) => {
    const place = places[at];
    if (!place) return;
    if (place.page !== onPage) {
      document.addPage(page);
      onPage = place.page;
    }
    drawLabel(document, size, place.xMm, place.yMm, label);
  });
  document.end();
  return done;
}

const MOST_LABELS = 500;

/**
 * The label sheet of some packages.
 *
 * @param query package codes in the order they are to be printed, the stock's id, the first free sticker
 * @throws Problem 400 or 404
 */
export async function printLabels(query: {
  codes: string[];
  size: string;
  startAt: number;
  /** Codes of packages on their way to a freezer: labelled as frozen today. */
  freezing: string[];
}): Promise<Buffer> {
  const size = LABEL_SIZES.find(({ id }) => id === query.size);
  if (!size) throw new Problem(400, 'invalid', `There is no label stock “${query.size.slice(0, 40)}”.`);
  if (query.codes.length === 0 || query.codes.length > MOST_LABELS) {
    throw new Problem(400, 'invalid', `Choose 1 to ${MOST_LABELS} packages to label.`);
  }
  const slots = size.columns * size.rows;
  if (query.startAt > slots) throw new Problem(400, 'invalid', `This sheet has ${slots} stickers.`);
  const { household, reference, today, kitchen } = await viewContext();
  const { caution } = household.settings;
  const found = new Map(
    (await readPackagesByCodes(sql(), household.id, query.codes)).map((item): [string, Package] => [
      item.code,
      item,
    ]),
  );
  const opens = await labelKeys(household.id);
  const labels = query.codes.map((code): PrintedLabel => {
    const item = found.get(code);
    if (!item) throw new Problem(404, 'not-found', 'One of the packages is not known in this household.');
    const food = reference.byId.get(item.foodId);
    const shown =
      query.freezing.includes(code) && food
        ? asFrozen(item, food, today, caution, freezerCold(kitchen))
        : item;
    const judgedAs = food?.name ?? item.foodId;
    return {
      ...labelText(shown, food, household.settings),
      judgedAs,
      address: `${publicUrl()}/p/${item.code}${opens(item.code)}`,
    };
  });
  return drawLabels(labels, size, query.startAt, await ourWording());
}
