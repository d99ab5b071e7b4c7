'use client';

import { useEffect, useState } from 'react';

/** A value once it has rested for a while; what says the same counts as the same. `null` at once. */
export function useSettled<Value>(value: Value | null, restMs: number): Value | null {
  const says = value === null ? null : JSON.stringify(value);
  const [settled, setSettled] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(says), says === null ? 0 : restMs);
    return () => clearTimeout(timer);
  }, [says, restMs]);
  return says === null || settled === null ? null : (JSON.parse(settled) as Value);
}
