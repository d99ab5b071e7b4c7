'use client';

import { useCallback, useEffect, useState } from 'react';
import { indexFoods } from '@/core/foods/findFood';
import type { Food } from '@/core/model/food';
import type { QuickVocabulary } from '@/core/quickline/quickLine';
import type { Vocabulary } from '@/services/household/foods';
import { fetchJson } from '../door/sendCommand';

export type KnownVocabulary = Omit<QuickVocabulary<Food>, 'zones'> &
  Pick<Vocabulary, 'caution' | 'currency' | 'zones'>;

/** Foods and zones for reading the line; fetched once, again on `renew`. */
export function useVocabulary(): { vocabulary: KnownVocabulary | null; fault: string; renew: () => void } {
  const [vocabulary, setVocabulary] = useState<KnownVocabulary | null>(null);
  const [fault, setFault] = useState('');
  const renew = useCallback(() => {
    fetchJson<Vocabulary>('/api/v1/vocabulary')
      .then(({ foods, ...rest }) => {
        setVocabulary({ ...rest, foods: indexFoods<Food>(foods) });
        setFault('');
      })
      .catch((error: Error) => setFault(error.message));
  }, []);
  useEffect(renew, [renew]);
  return { vocabulary, fault, renew };
}
