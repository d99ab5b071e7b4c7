import { columnAt, enthalpyAt, heatTable } from './heatTable';
import type { ThermalFood } from './foodProperties';

/** The mixed load of a household freezer (THERMAL 2). */
export const MIXED: ThermalFood = {
  composition: { water: 0.7, protein: 0.15, fat: 0.08, carbohydrate: 0.05, fibre: 0.01, ash: 0.01 },
  freezingPointC: -1,
  porosity: 0,
};

/**
 * How warm frozen food gets, °C, when fresh food shares its cold with it before the machine has caught up: the temperature
 * at which both hold the same heat together. The worst that can be; the machine works meanwhile.
 *
 * @param freshG grams that come in
 * @param freshC their temperature
 * @param thereG grams of frozen food that share their cold, more than 0
 * @param thereC its temperature
 */
export function warmedTo(freshG: number, freshC: number, thereG: number, thereC: number): number {
  const table = heatTable(MIXED);
  const mean = (freshG * enthalpyAt(table, freshC) + thereG * enthalpyAt(table, thereC)) / (freshG + thereG);
  return columnAt(table, 'T', mean);
}
