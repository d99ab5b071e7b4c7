/** On which half of the globe a household lives: summer begins in June, or in December. */
export const HEMISPHERES = ['north', 'south'] as const;
export type Hemisphere = (typeof HEMISPHERES)[number];
