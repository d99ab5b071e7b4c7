import type { DrillChoice } from '@/core/drill/drill';
import type { Seen } from '@/core/model/cut';
import { sayCelsius } from '@/core/powercut/sayCut';

export const CHOICE_WORDS: Readonly<Record<DrillChoice, string>> = {
  keep: 'Keep',
  'eat-soon': 'Eat by tomorrow',
  refreeze: 'Freeze again',
  'cook-now': 'Cook now',
  discard: 'Throw out',
};

const SIGNS: Partial<Record<keyof Seen, string>> = {
  mould: 'mould',
  slime: 'slime',
  offSmell: 'an off smell',
  sealBroken: 'its seal is broken',
  drippedOn: 'raw juice dripped on it',
  flooded: 'flood water reached it',
};

/** What was seen of an item, in words. */
export function saySeen(seen: Seen): string {
  const signs = (Object.keys(SIGNS) as (keyof Seen)[]).flatMap((key) =>
    seen[key] === true ? [SIGNS[key] ?? ''] : [],
  );
  const told = [
    ...(seen.iceCrystals === undefined ? [] : [seen.iceCrystals ? 'ice crystals' : 'no ice']),
    ...(typeof seen.measuredC === 'number' ? [`${sayCelsius(seen.measuredC)} in its middle`] : []),
    ...signs,
  ];
  return told.length === 0 ? 'It looks as ever; that tells nothing.' : `Seen: ${told.join(', ')}.`;
}
