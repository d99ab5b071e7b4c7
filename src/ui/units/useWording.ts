'use client';

import { createContext, useContext } from 'react';
import type { UnitSystem } from '@/core/units/readAmount';
import { PLAIN_WORDING, type Wording } from '@/core/units/wording';

/** How the household of this page measures and writes figures. */
export const WordingContext = createContext<Wording>(PLAIN_WORDING);

/** How figures are said here, for fields that show them. */
export const useWording = (): Wording => useContext(WordingContext);

/** How the household measures, for fields that are typed into. */
export const useUnits = (): UnitSystem => useWording().units;
