import type { ApplianceShape, Cold } from '../model/drawing';
import type { ForecastKind } from './cutForecast';

const FREEZERS: Readonly<Record<ApplianceShape, Exclude<ForecastKind, 'fridge'>>> = {
  'small-fridge': 'top-freezer',
  'fridge-over-freezer': 'drawer-freezer',
  'freezer-over-fridge': 'top-freezer',
  'side-by-side': 'upright',
  dispenser: 'upright',
  fridge: 'top-freezer',
  'drawer-freezer': 'drawer-freezer',
  'upright-freezer': 'upright',
  chest: 'chest',
};

/** As what kind of appliance a drawn compartment warms (THERMAL 6). */
export const forecastKindOf = (shape: ApplianceShape, cold: Cold): ForecastKind =>
  cold === 'fridge' ? 'fridge' : FREEZERS[shape];
