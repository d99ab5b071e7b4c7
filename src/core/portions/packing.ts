import { isPoured, isWholeBird } from '../foods/foodKinds';
import type { Food } from '../model/food';
import type { Wrap } from '../model/history';
import type { Form } from '../model/intakeLine';
import type { Mouth } from '../packaging/fillLine';
import packings from './packings.json';

/** A way to pack food: what form it takes, in what, and what that needs. Measures are of the usual one. */
export interface Packing {
  id: string;
  name: string;
  form: Form | null;
  /** `null`: as it came. */
  wrap: Wrap | null;
  layout: 'flat' | 'scored' | 'lump' | 'round' | 'vessel' | 'cavities' | 'pieces' | 'stack' | 'log';
  needs: string[];
  /** Used before: never for raw meat. */
  reused?: boolean;
  capacityMl?: number;
  heightMm?: number;
  mouth?: Mouth;
  cavityMl?: number;
  /** Cavities of one tray. */
  trayOf?: number;
  pieceMm?: number;
  pieceG?: number;
  pieceThickMm?: number;
  diameterMm?: number;
}

/** All ways to pack, as data. */
export const PACKINGS = packings as readonly Packing[];

/** The packing of an id; unknown ones count as it came. */
export function packingOf(id: string): Packing {
  const found = PACKINGS.find((one) => one.id === id) ?? PACKINGS[0];
  if (!found) throw new Error('there are no packings');
  return found;
}

/** Ways that suit a food in the freezer, the first the usual one (our own table, by group and what the food asks for). */
export function packingsFor(food: Food): string[] {
  const { group, freezePrep, readiness, id, copyOf } = food;
  if (isWholeBird(food)) return ['whole', 'vacuum', 'foil'];
  if (group === 'herb') return ['oil-cubes', 'cubes', 'lump'];
  if (id === 'butter') return ['log', 'foil', 'lump'];
  if (isPoured(food)) return ['tub', 'jar', 'glass', 'flat', 'cubes', 'muffin', 'scored'];
  if (id === 'tomato-paste' || id === 'pesto') return ['scored', 'cubes', 'oil-cubes', 'jar'];
  if (group === 'bread-bake') return ['slices', 'lump', 'foil'];
  if (group === 'raw-meat' || group === 'raw-poultry') {
    const minced = /ground|mince|sausage/.test(copyOf ?? id);
    return minced
      ? ['flat', 'scored', 'meatballs', 'patties', 'vacuum', 'foil', 'lump']
      : ['lump', 'vacuum', 'foil', 'flat', 'patties'];
  }
  if (freezePrep.includes('tray-freeze')) return ['tray', 'flat', 'lump', 'vacuum', 'cubes'];
  if (readiness === 'needs-wash') return ['lump', 'tray', 'flat', 'vacuum'];
  return ['lump', 'flat', 'foil', 'vacuum', 'tub', 'slices', 'glass', 'rolled'];
}
