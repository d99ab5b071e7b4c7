'use client';

import { useSyncExternalStore } from 'react';
import { readOwn, writeOwn } from '../door/ownStorage';

/** Something that lies in cold water: this device reminds of the changes. */
export interface ColdBath {
  package: string;
  /** When it went in, and when its water was changed last, ISO 8601 UTC. */
  begun: string;
  changed: string;
}

const STORE = 'baths';
/** A bath nobody ended is forgotten. */
const MOST_H = 12;
const HOUR_MS = 3_600_000;
let listeners: (() => void)[] = [];

const kept = (): string => readOwn(STORE) ?? '[]';

function read(text: string): ColdBath[] {
  try {
    return JSON.parse(text) as ColdBath[];
  } catch {
    return [];
  }
}

/** Puts in, changes the water of, or (`null`) takes out of the bath what lies in it. */
export function setBath(packageId: string, bath: Omit<ColdBath, 'package'> | null): void {
  const others = read(kept()).filter(
    (one) => one.package !== packageId && Date.now() - Date.parse(one.begun) < MOST_H * HOUR_MS,
  );
  writeOwn(STORE, JSON.stringify(bath ? [...others, { package: packageId, ...bath }] : others));
  for (const listener of listeners) listener();
}

/** What lies in cold water on this device, and stays so over a reload. */
export function useBaths(): ColdBath[] {
  const text = useSyncExternalStore(
    (listener) => {
      listeners.push(listener);
      return () => {
        listeners = listeners.filter((one) => one !== listener);
      };
    },
    kept,
    () => '[]',
  );
  return read(text);
}
