import { isStartEvent } from '../keeping/startDates';
import type { OpenVerdict } from '../keeping/mayEat';
import type { Cut } from '../model/cut';
import type { Package } from '../model/package';
import { assembleCut, type CutRecord } from './assembleCut';
import { cutsInRow } from './cutsInRow';
import type { CutKitchen, CutPackage } from './cutThing';
import { FROM_MILD } from './stricter';

/** Cuts whose desk is not put away. */
export const openCuts = (cuts: readonly Cut[]): Cut[] => cuts.filter(({ closedAt }) => closedAt === null);

/** Those with all that adds up with them. */
export const withRows = (cuts: readonly Cut[], all: readonly Cut[]): Cut[] => [
  ...new Set(cuts.flatMap((cut) => [...cutsInRow(cut, all), cut])),
];

/** A package as a cut asks for it. */
export function asCutPackage(found: Package): CutPackage {
  const [first] = found.history;
  return first && isStartEvent(first) ? { ...found, start: { did: first.did, on: first.on } } : found;
}

/**
 * What the cuts that are not put away say of packages and nobody decided yet (O13): the strictest of them. What keeps is not in it, nor
 * what only its own date speaks against.
 */
export function openVerdicts(
  record: CutRecord,
  packages: readonly Package[],
  kitchen: CutKitchen,
  now: string,
): Map<string, OpenVerdict> {
  const found = new Map<string, OpenVerdict>();
  const asked = packages.map(asCutPackage);
  for (const told of openCuts(record.cuts)) {
    if (told.from > now) continue;
    // Asked of a moment in it, it lasts.
    const cut = told.until !== null && told.until > now ? { ...told, until: null } : told;
    for (const { thing, verdict, settled } of assembleCut(cut, record, asked, kitchen, now).judged) {
      if (settled || verdict.verdict === 'keep' || verdict.rule === 'date') continue;
      const before = found.get(thing.id);
      if (before && FROM_MILD.indexOf(before.verdict) >= FROM_MILD.indexOf(verdict.verdict)) continue;
      found.set(thing.id, { verdict: verdict.verdict, says: verdict.says });
    }
  }
  return found;
}
