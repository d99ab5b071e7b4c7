import type { OutageVerdict } from '../model/outageClass';
import type { ItemVerdict } from './powerCut';

/** From what keeps to what goes. */
export const FROM_MILD: readonly OutageVerdict[] = [
  'keep',
  'refreeze',
  'refreeze-quality-loss',
  'check',
  'eat-soon',
  'cook-now',
  'discard',
];

/** The stricter of two verdicts on one thing; of equals the first. */
export const stricter = <Verdict extends ItemVerdict>(a: Verdict, b: Verdict): Verdict =>
  FROM_MILD.indexOf(b.verdict) > FROM_MILD.indexOf(a.verdict) ? b : a;
