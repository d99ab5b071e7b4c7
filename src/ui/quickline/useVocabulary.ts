'use client';

import { useMemo } from 'react';
import { indexFoods } from '@/core/foods/findFood';
import type { Food } from '@/core/model/food';
import type { QuickVocabulary } from '@/core/quickline/quickLine';
import type { Vocabulary } from '@/services/household/foods';
import { useRead } from '../door/useRead';

export type KnownVocabulary = Omit<QuickVocabulary<Food>, 'zones'> &
  Pick<Vocabulary, 'caution' | 'currency' | 'zones'> &
  Partial<Pick<Vocabulary, 'marks'>>;

/** Foods and zones for reading the line; read again on `renew`. */
export function useVocabulary(): {
  vocabulary: KnownVocabulary | null;
  fault: string;
  renew: () => Promise<unknown>;
} {
  const { body, fault, again } = useRead<Vocabulary>('/api/v1/vocabulary', { lasting: true });
  const vocabulary = useMemo(() => {
    if (body === null) return null;
    const { foods, ...rest } = body;
    return { ...rest, foods: indexFoods<Food>(foods) };
  }, [body]);
  return { vocabulary, fault: vocabulary ? '' : fault, renew: again };
}
