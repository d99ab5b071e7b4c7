import { placedBox } from '@/core/kitchen/boxes';
import type { ApplianceDrawing, Box, Side } from '@/core/model/drawing';

/** From where the appliance is looked at. */
export type Look = 'front' | 'above';

/** A compartment or its door as it stands on the paper, mm. */
export interface Panel {
  key: string;
  compartmentId: string;
  side: Side;
  title: string;
  cold: 'fridge' | 'freezer';
  x: number;
  y: number;
  width: number;
  height: number;
  /** On which side an open door hangs; `null`: it is no door. */
  hinge: 'left' | 'right' | null;
}

/** A rectangle on the paper, mm. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Between a body and its open door, mm. */
export const GAP_MM = 50;
/** Around everything, mm: an open door's leaf stands out a little. */
const MARGIN_MM = 26;

/**
 * Where compartments and doors stand on the paper: from the front as they are, from above one below the other.
 *
 * @param words room for words above each compartment, mm
 */
export function panelsOf({ compartments, name }: ApplianceDrawing, look: Look, words = 0): Panel[] {
  const titled = (own: string): string => own || name;
  if (look === 'above') {
    let y = 0;
    return compartments.map((inside): Panel => {
      const top = y;
      y += inside.depthMm + GAP_MM + words;
      return {
        key: `${inside.id} body`,
        compartmentId: inside.id,
        side: 'body',
        title: titled(inside.name),
        cold: inside.cold,
        x: 0,
        y: top,
        width: inside.widthMm,
        height: inside.depthMm,
        hinge: null,
      };
    });
  }
  const levels = [...new Set(compartments.map(({ yMm }) => yMm))].sort((a, b) => a - b);
  const last = Math.max(0, ...compartments.map(({ xMm }) => xMm));
  const leftDoors = compartments.filter(({ xMm, doorMm }) => last > 0 && xMm === 0 && doorMm > 0);
  const begin = leftDoors.length > 0 ? Math.max(...leftDoors.map(({ widthMm }) => widthMm)) + GAP_MM : 0;
  return compartments.flatMap((inside): Panel[] => {
    const body: Panel = {
      key: `${inside.id} body`,
      compartmentId: inside.id,
      side: 'body',
      title: titled(inside.name),
      cold: inside.cold,
      x: begin + inside.xMm,
      y: inside.yMm + levels.indexOf(inside.yMm) * words,
      width: inside.widthMm,
      height: inside.heightMm,
      hinge: null,
    };
    if (inside.doorMm <= 0) return [body];
    const hinge = leftDoors.includes(inside) ? 'right' : 'left';
    const x = hinge === 'right' ? 0 : body.x + body.width + GAP_MM;
    return [body, { ...body, key: `${inside.id} door`, side: 'door', title: `${body.title} door`, x, hinge }];
  });
}

/** The paper that holds all panels, with room for a line of words above each, mm. */
export function paperOf(panels: readonly Panel[], words: number): Rect {
  const right = Math.max(100, ...panels.map(({ x, width }) => x + width));
  const foot = Math.max(100, ...panels.map(({ y, height }) => y + height));
  const around = 2 * MARGIN_MM;
  return { x: -MARGIN_MM, y: -MARGIN_MM - words, width: right + around, height: foot + around + words };
}

/** The same panels in one row, each compartment with its door, for paper that is wider than the appliance. */
function inARow(panels: readonly Panel[]): Panel[] {
  let x = 0;
  const ids = [...new Set(panels.map(({ compartmentId }) => compartmentId))];
  return ids.flatMap((id) => {
    const mine = panels.filter(({ compartmentId }) => compartmentId === id).sort((a, b) => a.x - b.x);
    return mine.map((panel): Panel => {
      const laid = { ...panel, x, y: 0 };
      x += panel.width + (panel === mine.at(-1) ? 2 * GAP_MM : GAP_MM);
      return laid;
    });
  });
}

/** One above the other as they stand, or in a row: whichever is drawn clearly larger on paper of this size, px. */
export function panelsFor(
  drawing: ApplianceDrawing,
  look: Look,
  words: number,
  size: { width: number; height: number },
): Panel[] {
  const standing = panelsOf(drawing, look, words);
  const row = inARow(standing);
  const mmOf = (panels: readonly Panel[]): number => {
    const paper = paperOf(panels, words);
    return Math.max(paper.width / size.width, paper.height / size.height);
  };
  return mmOf(row) < 0.8 * mmOf(standing) ? row : standing;
}

/** Where a box of a panel stands on the paper. Seen from above the front is at the foot. */
function rectOf(box: Box, panel: Panel, look: Look): Rect {
  return look === 'front'
    ? { x: panel.x + box.xMm, y: panel.y + box.yMm, width: box.widthMm, height: box.heightMm }
    : {
        x: panel.x + box.xMm,
        y: panel.y + panel.height - box.zMm - box.depthMm,
        width: box.widthMm,
        height: box.depthMm,
      };
}

/** A zone of the drawing on the paper. */
export interface ZoneOnPaper {
  id: string;
  rect: Rect;
  box: Box;
  depth: number;
}

/** All zones on the paper, outer ones first; from above the lowest first. */
export function zonesOnPaper(drawing: ApplianceDrawing, panels: readonly Panel[], look: Look): ZoneOnPaper[] {
  const byPanel = new Map(panels.map((panel) => [panel.key, panel]));
  const byId = new Map(drawing.zones.map((zone) => [zone.id, zone]));
  const depthOf = (id: string | null): number => {
    const zone = id === null ? undefined : byId.get(id);
    return zone ? 1 + depthOf(zone.parentId) : 0;
  };
  return drawing.zones
    .flatMap((zone): ZoneOnPaper[] => {
      const panel = byPanel.get(`${zone.compartmentId} ${zone.side}`);
      if (!panel) return [];
      const box = placedBox(zone, zone.parentId === null ? [] : drawing.zones);
      return [{ id: zone.id, rect: rectOf(box, panel, look), box, depth: depthOf(zone.parentId) }];
    })
    .sort((a, b) =>
      look === 'above'
        ? b.box.yMm - a.box.yMm || a.depth - b.depth
        : a.depth - b.depth || b.box.zMm - a.box.zMm,
    );
}
