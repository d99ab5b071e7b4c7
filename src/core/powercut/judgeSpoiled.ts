import type { Seen } from '../model/cut';
import type { CutItem, ItemVerdict } from './powerCut';

const SIGNS: readonly (readonly [keyof Seen, string])[] = [
  ['flooded', 'flood water reached it'],
  ['drippedOn', 'raw juice dripped on it'],
  ['sealBroken', 'its seal is broken'],
  ['slime', 'slime'],
  ['offSmell', 'an off smell'],
  ['mould', 'mould'],
];

/**
 * Rule O6: spoiled or soiled is thrown out, whatever else. Mould counts on every class: those that say so, and the
 * others (meat, cooked food, dairy) by the mould table, which lets only firm foods be cut. `null` when nothing was seen.
 */
export function judgeSpoiled({ id, outageClass, seen }: CutItem): ItemVerdict | null {
  const sign = SIGNS.find(([key]) => seen[key] === true);
  if (!sign) return null;
  const cuttable = sign[0] === 'mould' && outageClass.note.toLowerCase().includes('cut mould away');
  return {
    id,
    verdict: 'discard',
    rule: 'O6',
    evidence: `seen: ${sign[1]}`,
    certainty: 'measured',
    says: `Throw it out: ${sign[1]}. Never taste.${cuttable ? ' (In ordinary times a firm piece may be cut 2.5 cm around the mould; after a power cut doubt means out.)' : ''}`,
    source: outageClass.source,
  };
}
