'use client';

import { createContext, useContext } from 'react';
import type { UnitSystem } from '@/core/units/readAmount';
import { retell } from '@/core/units/retell';

/** How the household of this page measures. */
export const UnitsContext = createContext<UnitSystem>('metric');

/** How the household measures, for fields that are typed into. */
export const useUnits = (): UnitSystem => useContext(UnitsContext);

/** Says words as the household measures: what is worked out in the page comes in grams, millilitres and °C. */
export function useSay(): (words: string) => string {
  const units = useContext(UnitsContext);
  return (words) => retell(words, units);
}
