import type { IntakeLine } from '../model/intakeLine';
import type { Meaning, QuickFault, QuickPart, QuickVocabulary } from './quickLine';
import type { QuickToken } from './quickTokens';

/** The line under construction; every reader takes tokens from the front and tells here what it understood. */
export class QuickDraft {
  readonly parts: QuickPart[] = [];
  readonly faults: QuickFault[] = [];
  amount: { amount: number; unit: 'g' | 'ml' | 'pc' } | null = null;
  line: Omit<IntakeLine, 'food' | 'called' | 'amount' | 'unit' | 'start'> = {
    packs: 1,
    form: null,
    wrap: null,
    priceMinor: null,
    zone: null,
    printed: null,
    openedOn: null,
    frozenOn: null,
    blanched: true,
    note: '',
  };
  start: IntakeLine['start'] | null = null;
  /** Set by "3 × 500 g". */
  each = false;

  constructor(
    readonly text: string,
    readonly tokens: QuickToken[],
    readonly vocabulary: QuickVocabulary,
  ) {}

  part(meaning: Meaning, first: QuickToken, to: number, says: string): void {
    this.parts.push({ meaning, from: first.from, to, says });
  }

  fault(first: QuickToken, to: number, says: string, candidates: string[] = []): void {
    this.part('unknown', first, to, says);
    this.faults.push({ from: first.from, to, says, candidates });
  }

  /** Tokens up to the one that ends at or before an offset. */
  countTo(at: number, offset: number): number {
    let count = 0;
    while ((this.tokens[at + count]?.to ?? Infinity) <= offset) count += 1;
    return count;
  }
}
