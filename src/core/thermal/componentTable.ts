/**
 * Thermal properties of the components of food as a + b·T + c·T², T in °C, good from −40 to 60 °C (after Choi and Okos).
 * k in W/(m·K), rho in kg/m³, cp in kJ/(kg·K). Fat: some printings carry −2.7604e-3 for b of k; that would vanish at 65 °C.
 */
export type Polynomial = readonly [a: number, b: number, c: number];

export const COMPONENTS = ['water', 'ice', 'protein', 'fat', 'carbohydrate', 'fibre', 'ash'] as const;
export type Component = (typeof COMPONENTS)[number];

export const CONDUCTIVITY: Record<Component, Polynomial> = {
  water: [5.7109e-1, 1.7625e-3, -6.7036e-6],
  ice: [2.2196, -6.2489e-3, 1.0154e-4],
  protein: [1.7881e-1, 1.1958e-3, -2.7178e-6],
  fat: [1.8071e-1, -2.7604e-4, -1.7749e-7],
  carbohydrate: [2.0141e-1, 1.3874e-3, -4.3312e-6],
  fibre: [1.8331e-1, 1.2497e-3, -3.1683e-6],
  ash: [3.2962e-1, 1.4011e-3, -2.9069e-6],
};

export const DENSITY: Record<Component, Polynomial> = {
  water: [997.18, 3.1439e-3, -3.7574e-3],
  ice: [916.89, -0.13071, 0],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  carbohydrate: [1599.1, -0.31046, 0],
  fibre: [1311.5, -0.36589, 0],
  ash: [2423.8, -0.28063, 0],
};

/** Water has two branches; this one is for 0 °C and above. */
export const HEAT: Record<Component, Polynomial> = {
  water: [4.1762, -9.0864e-5, 5.4731e-6],
  ice: [2.0623, 6.0769e-3, 0],
  protein: [2.0082, 1.2089e-3, -1.3129e-6],
  fat: [1.9842, 1.4733e-3, -4.8008e-6],
  carbohydrate: [1.5488, 1.9625e-3, -5.9399e-6],
  fibre: [1.8459, 1.8306e-3, -4.6509e-6],
  ash: [1.0926, 1.8896e-3, -3.6817e-6],
};

/** Supercooled water, below 0 °C. */
export const COLD_WATER_HEAT: Polynomial = [4.1289, -5.3062e-3, 9.9516e-4];

/** Latent heat of ice, kJ/kg. */
export const LATENT_HEAT = 333.55;
/** Conductivity of still air in pores, W/(m·K). */
export const AIR_CONDUCTIVITY = 0.024;
/** Water that protein binds and that never freezes, kg per kg of protein. */
export const BOUND_WATER = 0.4;

export const at = ([a, b, c]: Polynomial, celsius: number): number => a + b * celsius + c * celsius * celsius;

/** The integral of a polynomial from 0 °C. */
export const sumTo = ([a, b, c]: Polynomial, celsius: number): number =>
  a * celsius + (b / 2) * celsius ** 2 + (c / 3) * celsius ** 3;
