import type { Food } from '../model/food';
import {
  AIR_CONDUCTIVITY,
  at,
  BOUND_WATER,
  COLD_WATER_HEAT,
  COMPONENTS,
  type Component,
  CONDUCTIVITY,
  DENSITY,
  HEAT,
  LATENT_HEAT,
  sumTo,
} from './componentTable';

/** What a food is made of, for heat: mass fractions, freezing point in °C, share of air by volume. */
export interface ThermalFood {
  composition: Food['composition'];
  freezingPointC: number;
  porosity: number;
}

/** Fractions whose sum is 1; any factor on all of them gives the same. */
function normalised({ composition }: ThermalFood): Food['composition'] {
  const sum = Object.values(composition).reduce((all, share) => all + share, 0);
  const entries = Object.entries(composition).map(([name, share]) => [name, share / sum]);
  return Object.fromEntries(entries) as Food['composition'];
}

/** Mass fraction of ice at a temperature: what is not bound freezes out below the freezing point. */
export function iceFraction(food: ThermalFood, celsius: number): number {
  if (celsius >= food.freezingPointC) return 0;
  const { water, protein } = normalised(food);
  return Math.max(0, water - BOUND_WATER * protein) * (1 - food.freezingPointC / celsius);
}

function shares(food: ThermalFood, celsius: number): Record<Component, number> {
  const composition = normalised(food);
  const ice = iceFraction(food, celsius);
  return { ...composition, water: composition.water - ice, ice };
}

/** Enthalpy in kJ/kg, zero at 0 °C unfrozen (THERMAL 2). It rises strictly with temperature. */
export function enthalpy(food: ThermalFood, celsius: number): number {
  const part = shares(food, celsius);
  const water = celsius < 0 ? COLD_WATER_HEAT : HEAT.water;
  let sum = part.water * sumTo(water, celsius) + part.ice * (sumTo(HEAT.ice, celsius) - LATENT_HEAT);
  for (const name of COMPONENTS) {
    if (name !== 'water' && name !== 'ice') sum += part[name] * sumTo(HEAT[name], celsius);
  }
  return sum;
}

/** Density in kg/m³, pores counted. */
export function density(food: ThermalFood, celsius: number): number {
  const part = shares(food, celsius);
  const volume = COMPONENTS.reduce((sum, name) => sum + part[name] / at(DENSITY[name], celsius), 0);
  return (1 - food.porosity) / volume;
}

/** Conductivity in W/(m·K): components in parallel by volume, pores filled with still air. */
export function conductivity(food: ThermalFood, celsius: number): number {
  const part = shares(food, celsius);
  let volume = 0;
  let sum = 0;
  for (const name of COMPONENTS) {
    const v = part[name] / at(DENSITY[name], celsius);
    volume += v;
    sum += v * at(CONDUCTIVITY[name], celsius);
  }
  const solid = sum / volume;
  return (1 - food.porosity) * solid + food.porosity * AIR_CONDUCTIVITY;
}
