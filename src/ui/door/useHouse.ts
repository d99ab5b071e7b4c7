'use client';

import { useContext, useSyncExternalStore } from 'react';
import { type House, HouseContext } from './houseContext';

const PLAYS = 'orderly-frost-plays';
let listeners: (() => void)[] = [];

function plays(): boolean {
  try {
    return localStorage.getItem(PLAYS) === 'yes';
  } catch {
    return false;
  }
}

function onPlays(listener: () => void): () => void {
  listeners.push(listener);
  return () => {
    listeners = listeners.filter((one) => one !== listener);
  };
}

/** Chooses on this device whether stand-ins for scale, scanner and thermometer may be played with. */
export function choosePlay(yes: boolean): void {
  try {
    localStorage.setItem(PLAYS, yes ? 'yes' : 'no');
  } catch {
    // Then it stays as it is.
  }
  for (const listener of listeners) listener();
}

/** True where stand-ins are shown: in the demo, and where one chose to play with them. */
export function usePlays(): boolean {
  const chosen = useSyncExternalStore(onPlays, plays, () => false);
  return useContext(HouseContext).demo || chosen;
}

export const useHouse = (): House => useContext(HouseContext);
