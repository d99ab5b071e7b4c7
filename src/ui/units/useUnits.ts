'use client';

import { createContext, useContext } from 'react';
import type { UnitSystem } from '@/core/units/readAmount';

/** How the household of this page measures. */
export const UnitsContext = createContext<UnitSystem>('metric');

/** How the household measures, for fields that are typed into. */
export const useUnits = (): UnitSystem => useContext(UnitsContext);
