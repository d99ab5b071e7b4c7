import type { Seen } from '../model/cut';
import { SAFE_CHILL_C } from '../model/limits';
import type { CutTimes } from './airDuringCut';
import { judgeFreezerItem } from './judgeFreezerItem';
import { judgeFridgeItem } from './judgeFridgeItem';
import type { CutAppliance, CutItem, ItemVerdict } from './powerCut';
import { stricter } from './stricter';

/** While the power is off, what was seen a moment ago decides what to do now (O10). */
const LOOK_HOLDS_MS = 30 * 60_000;

/** Since when a look or a telltale tells of all of a stretch. @param lasts the power is off still */
export const tellsFrom = (endMs: number, lasts: boolean): string =>
  new Date(lasts ? endMs - LOOK_HOLDS_MS : endMs).toISOString();

/** True for signs that a thing thawed or warmed: those go on to count. */
const isWarm = ({ iceCrystals, measuredC }: Seen): boolean => {
  const measured = typeof measuredC === 'number';
  return !iceCrystals && (iceCrystals === false || measured) && !(measured && measuredC <= SAFE_CHILL_C);
};

/** What was seen besides its cold: spoiled is spoiled, whenever it was seen. */
export const withoutLook = ({ iceCrystals: _ice, measuredC: _c, ...seen }: Seen): Seen => seen;

/**
 * Judges one item by one kind of cold. A look and a telltale speak of the time before them only (O10): what they showed of cold decides
 * nothing of later, what they showed of warmth goes on to count.
 *
 * @param early what was seen before the end of the stretch: of the item, and by the telltale
 */
export function judgeInTime(
  item: CutItem,
  appliance: CutAppliance,
  times: CutTimes,
  early: { look: boolean; telltale: boolean },
): ItemVerdict {
  const judge = (seen: Seen, telltale: CutAppliance['telltale']): ItemVerdict => {
    const told = { ...item, seen };
    const place = { ...appliance, telltale };
    return appliance.kind === 'freezer'
      ? judgeFreezerItem(told, place, times)
      : judgeFridgeItem(told, place, times);
  };
  const { seen } = item;
  const { telltale } = appliance;
  const looked = early.look && (seen.iceCrystals !== undefined || typeof seen.measuredC === 'number');
  const told = early.telltale && telltale !== 'none';
  if (!looked && !told) return judge(seen, telltale);
  const held = judge(looked ? withoutLook(seen) : seen, told ? 'none' : telltale);
  const before = [
    ...(looked && isWarm(seen) ? [judge(seen, 'none')] : []),
    ...(told && telltale !== 'loose' ? [judge(withoutLook(seen), telltale)] : []),
  ];
  const verdict = before.reduce(stricter, held);
  return verdict === held
    ? { ...held, evidence: `${held.evidence}; what was seen before then decides nothing of later` }
    : verdict;
}
