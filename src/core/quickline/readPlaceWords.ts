import { foodWords } from '../foods/foodKey';
import type { QuickZone } from './quickLine';

/** How many of the words name a place, and which. `null` means the counter. */
export type ReadPlace =
  { zone: QuickZone | null; words: number } | { candidates: QuickZone[]; words: number };

function startsAll(wanted: string[], words: string[]): boolean {
  return wanted.every((want) => words.some((word) => word.startsWith(want)));
}

/**
 * Finds the zone that the first words name: the longest run that is a zone's whole name (with or without its
 * appliance), else the longest run that only one zone holds. Case and plural are forgiven.
 */
export function readPlaceWords(words: readonly string[], zones: readonly QuickZone[]): ReadPlace {
  if (words[0]?.toLowerCase() === 'counter') return { zone: null, words: 1 };
  const most = Math.min(words.length, 6);
  const named = zones.map((zone) => ({
    zone,
    own: foodWords(zone.name),
    all: foodWords(`${zone.name} ${zone.appliance}`),
  }));
  for (let count = most; count > 0; count--) {
    const wanted = foodWords(words.slice(0, count).join(' '));
    if (wanted.length === 0) continue;
    const key = [...wanted].sort().join(' ');
    const exact = named.filter(
      ({ own, all }) => [...own].sort().join(' ') === key || [...all].sort().join(' ') === key,
    );
    if (exact.length === 1 && exact[0]) return { zone: exact[0].zone, words: count };
    const holding = named.filter(({ all }) => startsAll(wanted, all));
    if (holding.length === 1 && holding[0]) return { zone: holding[0].zone, words: count };
    if (holding.length > 1) return { candidates: holding.map(({ zone }) => zone), words: count };
  }
  return { candidates: [], words: Math.min(words.length, 2) };
}
