import shapes from './applianceShapes.json';
import {
  type ApplianceDrawing,
  type ApplianceShape,
  type Cold,
  type DrawnZone,
  NO_RULES,
  type Side,
  type ZoneKind,
} from '../model/drawing';

interface ShapeZone {
  name: string;
  kind: ZoneKind;
  side?: Side;
  /** From the left, the top, the front. */
  at: [number, number, number];
  /** Wide, high, deep. */
  mm: [number, number, number];
  humidity?: 'low' | 'high';
  purpose?: string;
}

/** A shape to begin a drawing with: usual inner measures, mm. */
export interface ShapeModel {
  id: ApplianceShape;
  title: string;
  compartments: {
    name: string;
    cold: Cold;
    /** From the left, from the top, wide, high, deep. */
    mm: [number, number, number, number, number];
    doorMm: number;
    zones: ShapeZone[];
  }[];
}

export const SHAPE_MODELS = shapes as ShapeModel[];

/**
 * A drawing to begin with: the usual compartments, shelves, drawers and racks of a shape.
 *
 * @param newId makes an id for the appliance and each part
 */
export function newAppliance(
  shape: ApplianceShape,
  name: string,
  room: string,
  newId: () => string,
): ApplianceDrawing {
  const model = SHAPE_MODELS.find(({ id }) => id === shape);
  if (!model) throw new Error(`no shape ${shape}`);
  const zones: DrawnZone[] = [];
  const compartments = model.compartments.map(({ mm, zones: inside, ...rest }) => {
    const compartmentId = newId();
    for (const { at, mm: size, ...zone } of inside) {
      zones.push({
        ...NO_RULES,
        side: 'body',
        humidity: null,
        purpose: '',
        ...zone,
        id: newId(),
        compartmentId,
        parentId: null,
        xMm: at[0],
        yMm: at[1],
        zMm: at[2],
        widthMm: size[0],
        heightMm: size[1],
        depthMm: size[2],
        leakproof: zone.kind === 'drawer' || zone.kind === 'bin',
      });
    }
    return {
      ...rest,
      id: compartmentId,
      xMm: mm[0],
      yMm: mm[1],
      widthMm: mm[2],
      heightMm: mm[3],
      depthMm: mm[4],
    };
  });
  return { id: newId(), name, room, shape, compartments, zones };
}

/** Another appliance like this one, with ids of its own and a name to tell it by. */
export function sameAgain(drawing: ApplianceDrawing, name: string, newId: () => string): ApplianceDrawing {
  const ids = new Map<string, string>();
  const renewed = (id: string): string => {
    const known = ids.get(id) ?? newId();
    ids.set(id, known);
    return known;
  };
  return {
    ...drawing,
    id: newId(),
    name,
    compartments: drawing.compartments.map((one) => ({ ...one, id: renewed(one.id) })),
    zones: drawing.zones.map((zone) => ({
      ...zone,
      id: renewed(zone.id),
      compartmentId: renewed(zone.compartmentId),
      parentId: zone.parentId === null ? null : renewed(zone.parentId),
    })),
  };
}
