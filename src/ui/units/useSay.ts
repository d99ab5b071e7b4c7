'use client';

import { retell } from '@/core/units/retell';
import { useWording } from './useWording';

/** Says words as the household measures and writes: what is worked out in the page comes in grams, millilitres and °C. */
export function useSay(): (words: string) => string {
  const wording = useWording();
  return (words) => retell(words, wording);
}
