import type { Cut, CutPart, CutReading, Seen } from '../model/cut';
import type { OutageClass } from '../model/outageClass';
import { coversCut, type CutTimes, cutTimes } from './airDuringCut';
import { judgeFreezerItem } from './judgeFreezerItem';
import { judgeFridgeItem } from './judgeFridgeItem';
import { judgeSpoiled } from './judgeSpoiled';
import type { CutAppliance, CutPiece, ItemVerdict } from './powerCut';
import { sayHours } from './sayCut';
import { stricter } from './stricter';
import { whatWouldTell } from './whatWouldTell';

/** Where a thing was, and when; `null`: from before anybody looks, or until now. `part` is `null` out of the cold, or gone. */
export interface PartStay {
  part: string | null;
  from: string | null;
  until: string | null;
}

/** One package as a cut sees it. */
export interface CutThing {
  id: string;
  food: { name: string };
  outageClass: OutageClass;
  /** In the order of time; a package that came in after the power was back lies in no part before. */
  stays: readonly PartStay[];
  seen: Seen;
  /** It is past a date of its own, cut or no cut: `out` for good, else it wants a look. */
  past: { out: boolean; says: string } | null;
}

/** A cut with what came right before it in the same parts: they add up. */
export interface CutFacts {
  cut: Cut;
  /** Earlier cuts in a row with it, the oldest first. */
  earlier: readonly Cut[];
  readings: readonly CutReading[];
}

/** A verdict with what other evidence would change it. */
export interface CutVerdict extends ItemVerdict {
  /** The part it lay in at the end. */
  part: string;
  wants: string[];
}

interface Piece extends CutPiece {
  part: CutPart;
  cut: string;
  until: string;
}

const LEAST_MS = 1000;

const earlierOf = (a: string, b: string): string => (a < b ? a : b);
const laterOf = (a: string, b: string): string => (a > b ? a : b);

/** The stretches without power that a thing went through, in the order of time. */
function piecesOf(thing: CutThing, { cut, earlier, readings }: CutFacts, now: string): Piece[] {
  return [...earlier, cut].flatMap((one) => {
    const end = one.until ?? now;
    return thing.stays.flatMap((stay): Piece[] => {
      const part = one.parts.find(({ id }) => id === stay.part);
      if (!part) return [];
      const from = laterOf(one.from, stay.from ?? one.from);
      const until = earlierOf(end, stay.until ?? end);
      if (Date.parse(until) - Date.parse(from) < LEAST_MS) return [];
      const its = readings.filter((reading) => reading.part === part.id);
      const { kind, fill, doors } = part;
      return [{ part, cut: one.id, kind, fill, doors, from, until, readings: its }];
    });
  });
}

const WORSE_TELLTALES = ['loose', 'rounded', 'water', 'one-block'] as const;

/** The worst of what telltales said; one that was not looked at in the last place says nothing for it. */
function telltaleOf(pieces: readonly Piece[]): CutAppliance['telltale'] {
  const told = pieces.map(({ part }) => part.telltale);
  const worst = WORSE_TELLTALES.findLast((one) => told.includes(one)) ?? 'none';
  if (worst !== 'loose') return worst;
  const last = pieces.at(-1);
  const silent = pieces.some(({ part }) => part.telltale === 'none' && part.id !== last?.part.id);
  return last?.part.telltale === 'loose' && !silent ? 'loose' : 'none';
}

/** The stretches of one kind of cold, ready to be judged by. */
interface Lain {
  kind: CutPart['kind'];
  appliance: CutAppliance;
  times: CutTimes;
  /** What was added up, in words; '' for one stretch. */
  added: string;
}

function lainIn(kind: CutPart['kind'], pieces: readonly Piece[], now: string): Lain {
  const last = pieces.at(-1) as Piece;
  const appliance: CutAppliance = {
    ...last,
    id: last.part.id,
    kind,
    telltale: kind === 'freezer' ? telltaleOf(pieces) : 'none',
    earlier: pieces.slice(0, -1).map((piece) => ({ ...piece, kind })),
  };
  const hours = (piece: Piece): number => (Date.parse(piece.until) - Date.parse(piece.from)) / 3_600_000;
  const each = pieces.map((piece) => `${piece.part.called} ${sayHours(hours(piece))}`).join(', ');
  const added = pieces.length === 1 ? '' : `; added up: ${each}`;
  return { kind, appliance, times: cutTimes(appliance, now), added };
}

/** Judges a thing by the stretches of one kind of cold. */
function judgeLain(thing: CutThing, { kind, appliance, times, added }: Lain): ItemVerdict {
  const item = { ...thing, cannotCheck: false };
  const verdict =
    kind === 'freezer' ? judgeFreezerItem(item, appliance, times) : judgeFridgeItem(item, appliance, times);
  return added === '' ? verdict : { ...verdict, evidence: `${verdict.evidence}${added}` };
}

/** Each stretch with its kind of cold; what was carried off takes the kind it came from. */
function byKind(pieces: readonly Piece[]): [CutPart['kind'], Piece[]][] {
  const groups = new Map<CutPart['kind'], Piece[]>();
  let kind = pieces.find(({ part }) => part.drawn)?.kind ?? 'fridge';
  for (const piece of pieces) {
    if (piece.part.drawn) kind = piece.kind;
    groups.set(kind, [...(groups.get(kind) ?? []), piece]);
  }
  return [...groups];
}

/** What is past its own date never keeps, whatever the cut did to it. */
function withItsDate(verdict: ItemVerdict, { past }: CutThing): ItemVerdict {
  if (!past || verdict.rule === 'O6') return verdict;
  const own = { ...verdict, rule: 'date', evidence: past.says, certainty: 'published' as const };
  if (past.out) return { ...own, verdict: 'discard', says: `Throw it out, power cut or not: ${past.says}.` };
  return stricter(verdict, {
    ...own,
    verdict: 'check',
    says: `Look at it first, power cut or not: ${past.says}.`,
  });
}

/**
 * The verdict on everything that went through a power cut, with what would change it. Only the time a thing was without power
 * counts: what came in after the power was back is not judged, nor what left before it went; cuts in a row and places in a row add
 * up (O1 to O9).
 *
 * @param now ISO 8601 UTC; the end of a cut that lasts
 */
export function judgeCut(facts: CutFacts, things: readonly CutThing[], now: string): CutVerdict[] {
  // Most things lie where others lie: what is known of a place is worked out once.
  const places = new Map<string, ReturnType<typeof placeOf>>();
  return things.flatMap((thing) => {
    const key = JSON.stringify(thing.stays);
    const known = places.get(key);
    const place = known === undefined ? placeOf(thing, facts, now) : known;
    places.set(key, place);
    if (place === null) return [];
    const { lain, last, covered, kind } = place;
    const [first, ...others] = lain.map((one) => judgeLain(thing, one));
    if (!first) return [];
    const judged = judgeSpoiled({ ...thing, cannotCheck: false }) ?? others.reduce(stricter, first);
    const verdict = withItsDate(judged, thing);
    const wants = whatWouldTell(verdict, { kind, covered, seen: thing.seen, last, now });
    return [{ ...verdict, part: last.part.id, wants }];
  });
}

/** All that a place without power tells of whatever lay in it; `null`: it was not in the cut that is judged. */
function placeOf(thing: CutThing, facts: CutFacts, now: string) {
  const pieces = piecesOf(thing, facts, now);
  const last = pieces.findLast(({ cut }) => cut === facts.cut.id);
  if (!last) return null;
  const kinds = byKind(pieces);
  return {
    last,
    lain: kinds.map(([kind, its]) => lainIn(kind, its, now)),
    kind: kinds.at(-1)?.[0] ?? last.kind,
    covered: pieces.every((piece) => coversCut(piece.readings, cutTimes(piece, now))),
  };
}
