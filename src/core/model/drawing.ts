export const APPLIANCE_SHAPES = [
  'small-fridge',
  'fridge-over-freezer',
  'freezer-over-fridge',
  'side-by-side',
  'dispenser',
  'fridge',
  'drawer-freezer',
  'upright-freezer',
  'chest',
] as const;
export type ApplianceShape = (typeof APPLIANCE_SHAPES)[number];

export const ZONE_KINDS = ['shelf', 'drawer', 'door', 'bin', 'basket', 'tray', 'layer'] as const;
export type ZoneKind = (typeof ZONE_KINDS)[number];

export type Cold = 'fridge' | 'freezer';
export type Side = 'body' | 'door';

/** A closed cold room inside an appliance. Inner measures in mm; `x` and `y` place it in the front elevation. */
export interface Compartment {
  id: string;
  /** Empty when the appliance has only this one. */
  name: string;
  cold: Cold;
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
  depthMm: number;
  /** How deep the racks of its door are; 0: nothing stands in the door. */
  doorMm: number;
}

/** What a household decides for a zone. */
export interface ZoneRules {
  /** Words of food that alone may lie here ("dairy", "raw", "vegetarian"); empty: anything. */
  only: readonly string[];
  never: readonly string[];
  /** Whose it is; empty: everybody's. */
  person: string;
  /** Litres it shall hold at most, on purpose; `null`: all it can. */
  limitLitres: number | null;
  hardToReach: boolean;
  /** Kept free on purpose, for today's leftovers. */
  keptEmpty: boolean;
  /** Raw juice stays in it. */
  leakproof: boolean;
}

/**
 * A zone as a box, mm: `x` from the left, `y` from the top, `z` from the front, of its parent zone, else of the
 * compartment or its door.
 */
export interface DrawnZone extends ZoneRules {
  id: string;
  compartmentId: string;
  parentId: string | null;
  name: string;
  purpose: string;
  kind: ZoneKind;
  side: Side;
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
  heightMm: number;
  depthMm: number;
  humidity: 'low' | 'high' | null;
}

/** One appliance as the cook drew it. */
export interface ApplianceDrawing {
  id: string;
  name: string;
  room: string;
  shape: ApplianceShape;
  compartments: Compartment[];
  zones: DrawnZone[];
}

/** Where and how large, mm. */
export interface Box {
  xMm: number;
  yMm: number;
  zMm: number;
  widthMm: number;
  heightMm: number;
  depthMm: number;
}

/** The three directions: its start, its length, and how a cook calls them. */
export const AXES = [
  { start: 'xMm', size: 'widthMm', sized: 'wide', from: 'left' },
  { start: 'yMm', size: 'heightMm', sized: 'high', from: 'top' },
  { start: 'zMm', size: 'depthMm', sized: 'deep', from: 'front' },
] as const;
export type Axis = (typeof AXES)[number];

export const NO_RULES: ZoneRules = {
  only: [],
  never: [],
  person: '',
  limitLitres: null,
  hardToReach: false,
  keptEmpty: false,
  leakproof: false,
};

/** The grid that a drawing snaps to, and the smallest a zone may be, mm. */
export const SNAP_MM = 10;
export const LEAST_MM = 20;

export const snap = (mm: number): number => Math.round(mm / SNAP_MM) * SNAP_MM;
