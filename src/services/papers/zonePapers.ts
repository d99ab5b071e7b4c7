import { ourWording } from '../household/inOurUnits';
import QRCode from 'qrcode';
import type { ApplianceDrawing, Box, DrawnZone } from '@/core/model/drawing';
import { placedBox } from '@/core/kitchen/boxes';
import { liftsTo } from '@/core/kitchen/liftsTo';
import { labelMm } from '@/core/labels/zoneLabels';
import { drawingOf } from '@/store/kitchens';
import { readChest } from '../kitchen/chestPlan';
import { viewContext } from '../household/context';
import { drawQr } from './labels';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE, type PaperFont } from './paper';
import { Problem } from '../door/problem';
import { publicUrl } from './publicUrl';

const A4_MM = [210, 297] as const;
const EDGE_MM = 10;
const GAP_MM = 4;

/** The coldest and the warmest zone of an appliance, by what is measured or assumed. */
function marks(drawing: ApplianceDrawing, celsius: (id: string) => number): Map<string, string> {
  const found = new Map<string, string>();
  for (const { id } of drawing.compartments) {
    const inside = drawing.zones.filter(({ compartmentId }) => compartmentId === id);
    const sorted = [...inside].sort((a, b) => celsius(a.id) - celsius(b.id));
    const [coldest, warmest] = [sorted[0], sorted.at(-1)];
    if (!coldest || !warmest || celsius(coldest.id) === celsius(warmest.id)) continue;
    found.set(coldest.id, 'coldest place');
    found.set(warmest.id, 'warmest place');
  }
  return found;
}

function drawZoneLabel(
  document: PDFKit.PDFDocument,
  zone: DrawnZone,
  mark: string,
  at: { x: number; y: number; wide: number; high: number },
): void {
  const { x, y, wide, high } = at;
  document.lineWidth(0.5).strokeColor(PAPER_SLATE).rect(x, y, wide, high).stroke();
  const pad = 2.5 * MM;
  const qr = high - 2 * pad;
  const width = wide - qr - 3 * pad;
  const line = (font: PaperFont, points: number, text: string, top: number): number => {
    let size = points;
    document.font(font).fontSize(size).fillColor(PAPER_INK);
    while (size > 6 && document.widthOfString(text) > width) document.fontSize((size -= 0.5));
    document.text(text, x + pad, top, { width, lineBreak: false, ellipsis: true });
    return top + document.currentLineHeight();
  };
  const scale = high / (26 * MM);
  let top = line('heading', 18 * scale, zone.name, y + pad);
  const about = [zone.purpose, zone.person === '' ? '' : `for ${zone.person}`]
    .filter((part) => part !== '')
    .join(' · ');
  if (about !== '') top = line('text', 11 * scale, about, top);
  const rules = [
    /use-up|eat first/i.test(zone.purpose) ? 'eat first' : '',
    zone.only.length > 0 ? `only ${zone.only.join(', ')}` : '',
    zone.never.length > 0 ? `never ${zone.never.join(', ')}` : '',
    zone.keptEmpty ? 'kept free' : '',
    mark,
  ].filter((part) => part !== '');
  if (rules.length > 0) line('strong', 10 * scale, rules.join(' · '), top);
  const address = `${publicUrl()}/stock?zone=${zone.id}`;
  drawQr(
    document,
    QRCode.create(address, { errorCorrectionLevel: 'M' }).modules,
    x + wide - qr - pad,
    y + pad,
    qr,
  );
}

/**
 * Labels for the zones of an appliance as PDF, at true size measured from the drawing: along the front edge, on the lid where it
 * is read from above, on the door.
 *
 * @throws Problem 404
 */
export async function printZoneLabels(id: string): Promise<Buffer> {
  const { kitchen } = await viewContext();
  const drawing = drawingOf(kitchen, id);
  if (!drawing) throw new Problem(404, 'not-found', 'There is no such appliance in this kitchen.');
  const celsius = new Map(kitchen.zones.map((zone) => [zone.id, zone.temperatureC]));
  const mark = marks(drawing, (zoneId) => celsius.get(zoneId) ?? 0);
  const { document, page, done } = beginPaper(`Zone labels, ${drawing.name}`, A4_MM, await ourWording());
  let y = Infinity;
  for (const zone of drawing.zones) {
    const [wide, high] = labelMm(zone, drawing.shape, A4_MM[0] - 2 * EDGE_MM);
    if (y + high > A4_MM[1] - EDGE_MM) {
      document.addPage(page);
      y = EDGE_MM;
    }
    drawZoneLabel(document, zone, mark.get(zone.id) ?? '', {
      x: EDGE_MM * MM,
      y: y * MM,
      wide: wide * MM,
      high: high * MM,
    });
    y += high + GAP_MM;
  }
  document.end();
  return done;
}

/** A scale that a chest fits the paper with: 1 : 4, 5, 8, 10 … */
const SCALES = [4, 5, 8, 10, 15, 20];
const HEAD_MM = 30;

/** The plan of a chest as PDF, true to scale: from the side, from above, and what lies in each zone. @throws Problem 404 */
export async function printChestPlan(id: string): Promise<Buffer> {
  const { drawing, zones } = await readChest(id);
  const [inside] = drawing.compartments;
  if (!inside) throw new Problem(404, 'not-found', 'This chest has no inside.');
  const { document, page, done } = beginPaper(`Chest plan, ${drawing.name}`, A4_MM, await ourWording());
  const room = { wide: A4_MM[0] - 2 * EDGE_MM, high: (A4_MM[1] - 2 * EDGE_MM - HEAD_MM) / 3 };
  const scale =
    SCALES.find(
      (one) =>
        inside.widthMm / one <= room.wide && Math.max(inside.heightMm, inside.depthMm) / one <= room.high,
    ) ?? 25;
  document.addPage(page);
  document
    .font('heading')
    .fontSize(18)
    .fillColor(PAPER_INK)
    .text(drawing.name, EDGE_MM * MM, EDGE_MM * MM);
  document
    .font('text')
    .fontSize(10)
    .fillColor(PAPER_SLATE)
    .text(
      `${drawing.room} · scale 1 : ${scale} · inside ${inside.widthMm} × ${inside.heightMm} × ${inside.depthMm} mm`,
    );
  const draw = (
    top: number,
    title: string,
    size: [number, number],
    rectOf: (box: Box) => [number, number, number, number],
  ): number => {
    const [left, under] = [EDGE_MM * MM, top + 14];
    document.font('strong').fontSize(11).fillColor(PAPER_INK).text(title, left, top, { lineBreak: false });
    document
      .lineWidth(1.2)
      .strokeColor(PAPER_INK)
      .rect(left, under, (size[0] / scale) * MM, (size[1] / scale) * MM)
      .stroke();
    for (const zone of drawing.zones) {
      const [x, y, wide, high] = rectOf(placedBox(zone, drawing.zones)).map((mm) => (mm / scale) * MM) as [
        number,
        number,
        number,
        number,
      ];
      document
        .lineWidth(0.6)
        .strokeColor(PAPER_SLATE)
        .rect(left + x, under + y, wide, high)
        .stroke();
      document.font('strong').fontSize(9).fillColor(PAPER_INK);
      document.text(`${zone.name}, ${liftsTo(zone, drawing)} to lift`, left + x + 3, under + y + 3, {
        width: wide - 6,
        height: 11,
        ellipsis: true,
        lineBreak: false,
      });
    }
    return under + (size[1] / scale) * MM + 12;
  };
  let top = (EDGE_MM + HEAD_MM - 8) * MM;
  top = draw(top, 'From the side, the lid on top', [inside.widthMm, inside.heightMm], (box) => [
    box.xMm,
    box.yMm,
    box.widthMm,
    box.heightMm,
  ]);
  top = draw(top, 'From above, your side at the foot', [inside.widthMm, inside.depthMm], (box) => [
    box.xMm,
    inside.depthMm - box.zMm - box.depthMm,
    box.widthMm,
    box.depthMm,
  ]);
  for (const zone of zones) {
    const foods = zone.foods
      .map(({ called, packages }) => `${called}${packages > 1 ? ` ×${packages}` : ''}`)
      .join(', ');
    const words = `${zone.name} (${zone.lifts} to lift): ${foods || 'nothing yet'}`;
    document.font('text').fontSize(10).fillColor(PAPER_INK);
    const high = document.heightOfString(words, { width: room.wide * MM });
    if (top + high > (A4_MM[1] - EDGE_MM) * MM) {
      document.addPage(page);
      top = EDGE_MM * MM;
    }
    document.text(words, EDGE_MM * MM, top, { width: room.wide * MM });
    top += high + 3;
  }
  document.end();
  return done;
}
