import type { IntakeLine } from '@/core/model/intakeLine';
import type { QuickReading } from '@/core/quickline/quickLine';

/** A line for the bench: half of it may go to the fridge, and it may make a food of the household's own. */
export interface TakenLine {
  line: IntakeLine;
  half: boolean;
  ownFood?: QuickReading['ownFood'];
}

/** Takes a line of the quick line onto the bench; answers whether it was taken. */
type TakeLine = (taken: TakenLine) => Promise<boolean>;

let taker: TakeLine | null = null;
/** A haul is being begun: what is typed meanwhile waits for its bench. */
let expected: ((take: TakeLine | null) => void) | null = null;
const CHANGED = 'orderly-frost-haul-intake';

/** While a haul is open on the page, the quick line at the foot fills it instead of the store. */
export function offerIntake(take: TakeLine | null): void {
  expected?.(take);
  expected = null;
  taker = take;
  window.dispatchEvent(new Event(CHANGED));
}

/** A haul is on its way: its lines are taken from now on, and put onto its bench as soon as that is there. */
export function expectIntake(): void {
  const coming = new Promise<TakeLine | null>((resolve) => {
    offerIntake(async (taken) => (await coming)?.(taken) ?? false);
    expected = resolve;
  });
}

/** Who takes lines now; `null`: nobody, they go to the store. */
export const presentIntake = (): TakeLine | null => taker;

/** Tells when somebody begins or ends taking lines. */
export function onIntakeChange(listen: () => void): () => void {
  window.addEventListener(CHANGED, listen);
  return () => window.removeEventListener(CHANGED, listen);
}
