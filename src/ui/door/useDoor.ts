'use client';

import { createContext, useContext } from 'react';
import type { DoorAnswer, NewCommand } from './doorClient';

export interface Door {
  /** Sends commands, tells the result with an undo, refreshes the view. Resolves to `null` when they were refused. */
  act(...commands: NewCommand[]): Promise<DoorAnswer[] | null>;
  tell(text: string, kind?: 'done' | 'error'): void;
  showPackage(code: string): void;
  showZone(id: string, name: string): void;
  showLabels(codes: string[]): void;
  showTrail(code: string, full: string): void;
  busy: boolean;
}

export const DoorContext = createContext<Door | null>(null);

/** The client side of the one door for change. */
export function useDoor(): Door {
  const door = useContext(DoorContext);
  if (!door) throw new Error('useDoor needs a DoorProvider above it');
  return door;
}
