'use client';

import { retell } from '@/core/units/retell';
import { useUnits } from './useUnits';

/** Says words as the household measures: what is worked out in the page comes in grams, millilitres and °C. */
export function useSay(): (words: string) => string {
  const units = useUnits();
  return (words) => retell(words, units);
}
