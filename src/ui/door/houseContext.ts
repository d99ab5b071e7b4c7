'use client';

import { createContext } from 'react';

/** What a page knows of its house besides what it shows. */
export interface House {
  demo: boolean;
  /** Codes on labels open on this machine only. */
  codesLocal: boolean;
  /** Commands that whoever looks may not tell, and whom to ask instead. */
  refused: readonly string[];
  cooks: readonly string[];
}

export const HouseContext = createContext<House>({ demo: false, codesLocal: false, refused: [], cooks: [] });
