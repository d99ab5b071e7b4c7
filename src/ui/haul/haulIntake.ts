import type { IntakeLine } from '@/core/model/intakeLine';

/** Takes a line of the quick line onto the bench; answers whether it was taken. */
export type TakeLine = (line: IntakeLine, half: boolean) => Promise<boolean>;

let taker: TakeLine | null = null;
const CHANGED = 'orderly-frost-haul-intake';

/** While a haul is open on the page, the quick line at the foot fills it instead of the store. */
export function offerIntake(take: TakeLine | null): void {
  taker = take;
  window.dispatchEvent(new Event(CHANGED));
}

/** Who takes lines now; `null`: nobody, they go to the store. */
export const presentIntake = (): TakeLine | null => taker;

/** Tells when somebody begins or ends taking lines. */
export function onIntakeChange(listen: () => void): () => void {
  window.addEventListener(CHANGED, listen);
  return () => window.removeEventListener(CHANGED, listen);
}
