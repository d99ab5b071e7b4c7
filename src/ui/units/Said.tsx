'use client';

import { Children } from 'react';
import { useSay } from './useSay';

/** Plain words, said as the household measures. */
export function Said({ children }: { children: React.ReactNode }) {
  const say = useSay();
  const words = Children.toArray(children).map(String).join('');
  return <>{say(words)}</>;
}
