import { foodWords } from '../foods/foodKey';
import type { QuickZone } from './quickLine';
import { NUMBER_WORDS } from './quickWords';

/** How many of the words name a place, and which. `null` means the counter; `guessed`: the first of several alike. */
export type ReadPlace =
  { zone: QuickZone | null; words: number; guessed?: boolean } | { candidates: QuickZone[]; words: number };

const KIND_WORDS: Readonly<Record<string, (zone: QuickZone) => boolean>> = {
  door: ({ kind, side }) => kind === 'door' || side === 'door',
  fridge: ({ cold, kind, side }) => cold === 'fridge' && kind !== 'door' && side !== 'door',
  refrigerator: ({ cold, kind, side }) => cold === 'fridge' && kind !== 'door' && side !== 'door',
  freezer: ({ cold }) => cold === 'freezer',
};

interface NamedZone {
  zone: QuickZone;
  own: string[];
  all: string[];
  appliance: string[];
}

function startsAll(wanted: string[], words: string[]): boolean {
  return wanted.every((want) => words.some((word) => word.startsWith(want)));
}

const sorted = (words: string[]): string => [...words].sort().join(' ');

/** "layer one" is layer 1. */
const figureOf = (word: string): string => {
  const value = NUMBER_WORDS[word.toLowerCase()];
  return value !== undefined && value >= 1 ? String(value) : word;
};

/** Of zones that are all meant the first, when they lie in one appliance: which of its zones is a matter of room. */
function firstOfOne(zones: QuickZone[], words: number): ReadPlace | null {
  const [first] = zones;
  if (!first) return null;
  return zones.every(({ appliance }) => appliance === first.appliance)
    ? { zone: first, words, guessed: zones.length > 1 }
    : { candidates: zones, words };
}

/** Where in the order from the top a word means. */
const POSITIONS: Readonly<Record<string, (many: number) => number>> = {
  top: () => 0,
  upper: () => 0,
  middle: (many) => Math.floor((many - 1) / 2),
  bottom: (many) => many - 1,
  lower: (many) => many - 1,
  lowest: (many) => many - 1,
};

/** "top drawer", "chest middle", "freezer bottom": one of several in their order; told as a guess. */
function byPosition(wanted: readonly string[], count: number, named: readonly NamedZone[]): ReadPlace | null {
  const position = wanted.find((want) => Object.hasOwn(POSITIONS, want));
  const rest = wanted.filter((want) => want !== position);
  if (position === undefined || rest.length === 0) return null;
  const meant = named.filter(({ zone, appliance }) =>
    rest.every(
      (want) => zone.kind === want || zone.cold === want || appliance.some((word) => word.startsWith(want)),
    ),
  );
  const first = meant[0]?.zone.appliance;
  if (meant.length === 0 || meant.some(({ zone }) => zone.appliance !== first)) return null;
  const body = meant.filter(({ zone }) => zone.side !== 'door' && zone.kind !== 'door');
  const among = body.length > 0 ? body : meant;
  const zone = among[POSITIONS[position]?.(among.length) ?? 0]?.zone;
  return zone ? { zone, words: count, guessed: true } : null;
}

function readWords(wanted: string[], count: number, named: NamedZone[]): ReadPlace | null {
  const key = sorted(wanted);
  const exact = named.filter(({ own, all }) => sorted(own) === key || sorted(all) === key);
  if (exact.length === 1 && exact[0]) return { zone: exact[0].zone, words: count };
  if (exact.length > 1) return { candidates: exact.map(({ zone }) => zone), words: count };
  const ofAppliance = named.filter(({ appliance }) => startsAll(wanted, appliance));
  if (ofAppliance.length > 0)
    return firstOfOne(
      ofAppliance.map(({ zone }) => zone),
      count,
    );
  const holding = named.filter(({ all }) => startsAll(wanted, all));
  if (holding.length === 1 && holding[0]) return { zone: holding[0].zone, words: count };
  const kind = wanted.length === 1 ? KIND_WORDS[wanted[0] ?? ''] : undefined;
  if (kind) return firstOfOne(named.map(({ zone }) => zone).filter(kind), count);
  if (holding.length > 1) return { candidates: holding.map(({ zone }) => zone), words: count };
  const rest = wanted.findLast((want) => KIND_WORDS[want]);
  const inKind = rest ? named.filter(({ zone }) => KIND_WORDS[rest]?.(zone)) : [];
  const left = wanted.filter((want) => want !== rest);
  const both = inKind.filter(({ all }) => startsAll(left, all));
  return left.length > 0 && both.length > 0
    ? firstOfOne(
        both.map(({ zone }) => zone),
        count,
      )
    : byPosition(wanted, count, named);
}

/**
 * Finds the zone that the first words name: the longest run that is a zone's whole name (with or without its appliance),
 * else an appliance or "door", "fridge", "freezer" (the first zone of it, told as a guess; several appliances: asked), else
 * the longest run that only one zone holds. Case and plural are forgiven.
 *
 * @param wholeNames only names said whole count
 */
export function readPlaceWords(
  words: readonly string[],
  zones: readonly QuickZone[],
  { wholeNames = false }: { wholeNames?: boolean } = {},
): ReadPlace {
  if (words[0]?.toLowerCase() === 'counter') return { zone: null, words: 1 };
  const most = Math.min(words.length, 6);
  const named = zones.map((zone) => ({
    zone,
    own: foodWords(zone.name),
    all: foodWords(`${zone.name} ${zone.appliance}`),
    appliance: foodWords(zone.appliance),
  }));
  for (let count = most; count > 0; count--) {
    const wanted = foodWords(words.slice(0, count).map(figureOf).join(' '));
    if (wanted.length === 0 || new Set(wanted).size < wanted.length) continue;
    if (wholeNames) {
      const key = sorted(wanted);
      const exact = named.filter(({ own, all }) => sorted(own) === key || sorted(all) === key);
      if (exact.length === 1 && exact[0]) return { zone: exact[0].zone, words: count };
      continue;
    }
    const read = readWords(wanted, count, named);
    if (read) return read;
  }
  return { candidates: [], words: Math.min(words.length, 2) };
}
