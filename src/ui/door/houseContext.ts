'use client';

import { createContext } from 'react';

/** What a page knows of its house besides what it shows. */
export interface House {
  demo: boolean;
  /** Codes on labels open on this machine only. */
  codesLocal: boolean;
}

export const HouseContext = createContext<House>({ demo: false, codesLocal: false });
