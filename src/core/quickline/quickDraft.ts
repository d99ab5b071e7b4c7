import type { CalendarDate } from '../calendar/calendarDate';
import type { IntakeLine } from '../model/intakeLine';
import type { AmountUnit } from '../units/sayAmount';
import type { Meaning, QuickFault, QuickPart, QuickVocabulary } from './quickLine';
import type { QuickToken } from './quickTokens';

/** The longest stretch that one date, day or person takes, characters. */
const MAX_PHRASE_LENGTH = 80;

/** How a count was said: a number alone, a dozen or "x12", pieces, vessels, the cubes of a tray. */
export type CountKind = 'bare' | 'times' | 'piece' | 'vessel' | 'cubes';

/** A count that stands in the line. */
export interface ToldCount {
  n: number;
  kind: CountKind;
  /** The word it was counted in: "fillets", "boxes". */
  word: string;
  first: QuickToken;
  to: number;
  at: number;
}

/** A measured amount that stands in the line, in grams or millilitres. */
export interface ToldAmount {
  amount: number;
  unit: AmountUnit;
  /** The unit as typed. */
  said: string;
  first: QuickToken;
  to: number;
  at: number;
}

/** The line under construction; every reader takes tokens from the front and tells here what it understood. */
export class QuickDraft {
  readonly parts: QuickPart[] = [];
  readonly faults: QuickFault[] = [];
  readonly counts: ToldCount[] = [];
  readonly amounts: ToldAmount[] = [];
  /** "each" was said. */
  each = false;
  /** A slash told how the whole is split: packs, the size of one, or people a pack feeds. */
  split: { packs: number } | { size: number; unit: AmountUnit } | { people: number } | null = null;
  readonly notes: string[] = [];
  /** The price is for one pack or piece, or for so much of it; `null`: for the whole line. */
  priceFor: 'each' | { amount: number; unit: AmountUnit } | null = null;
  /** The cook says whether it is a leftover. */
  leftover = false;
  line: Omit<IntakeLine, 'food' | 'called' | 'amount' | 'unit' | 'start' | 'note'> = {
    packs: 1,
    form: null,
    wrap: null,
    priceMinor: null,
    zone: null,
    printed: null,
    openedOn: null,
    frozenOn: null,
    blanched: true,
  };
  /** A place was named, be it the counter. */
  placed = false;
  /** It goes to a freezer, whichever zone. */
  intoFreezer = false;
  start: IntakeLine['start'] | null = null;
  /** What an age nobody dated was taken for. */
  about = '';
  /** Nobody knows how old it is. */
  unknownAge = false;

  constructor(
    readonly text: string,
    readonly tokens: readonly QuickToken[],
    readonly vocabulary: QuickVocabulary,
    /** Tokens that are the food's name, which no reader may take. */
    readonly isFood: (at: number) => boolean,
  ) {}

  part(meaning: Meaning, first: { from: number }, to: number, says: string, guessed = false): void {
    this.parts.push({ meaning, from: first.from, to, says, ...(guessed ? { guessed } : {}) });
  }

  fault(first: { from: number }, to: number, says: string, candidates: string[] = []): void {
    this.parts.push({ meaning: 'unknown', from: first.from, to, says });
    this.faults.push({ from: first.from, to, says, candidates });
  }

  /** The token there, unless it is of the food's name. */
  at(index: number): QuickToken | undefined {
    return this.isFood(index) ? undefined : this.tokens[index];
  }

  /** The text from an offset up to the food's name or the end; more than a date or a name needs is not read again at each word. */
  textFrom(offset: number): string {
    const end = this.tokens.find((token, at) => token.from >= offset && this.isFood(at))?.from ?? Infinity;
    return this.text.slice(offset, Math.min(end, offset + MAX_PHRASE_LENGTH));
  }

  /** Tokens up to the one that ends at or before an offset. */
  countTo(at: number, offset: number): number {
    let count = 0;
    while ((this.tokens[at + count]?.to ?? Infinity) <= offset) count += 1;
    return count;
  }
}

/** Takes what it understands at a token; answers how many tokens it used, 0 for none of its own. */
export type Reader = (draft: QuickDraft, token: QuickToken, at: number) => number;

/** A day that something happened, and how it was said. */
export interface ToldDay {
  on: CalendarDate;
  to: number;
  bad: boolean;
  about: string;
}
