import type { CutRequest } from './cutForecast';

/** Something that keeps the cold longer, with what it is worth asking the forecast. */
export interface ColdMeasure {
  key: 'ice' | 'blankets' | 'doors' | 'cooler' | 'eaten';
  /** What is done, in words. */
  says: string;
  request: CutRequest;
}

/** Packed round with blankets a sixth less comes through the walls: our own cautious guess. */
const BLANKETS = 5 / 6;
/** A cool box of foam, packed full round ice: its walls let in about so many times what a refrigerator's do; our own cautious guess. */
const COOLER = { litres: 30, fill: 0.5, iceKg: 4, walls: 2.5 } as const;
/** Share of what is in it that is eaten first. */
const EATEN = 0.1;
const ICE_KG = { fridge: 4, freezer: 4 } as const;
const SAMPLES = 400;

/** The same asked more coarsely, to be held against its measures. */
export const coarsely = (request: CutRequest): CutRequest => ({ ...request, samples: SAMPLES });

/** What is moved into a cool box: measured in it, not by the clock, is what counts there. */
const cooler = (base: CutRequest): ColdMeasure => ({
  key: 'cooler',
  says: `What is moved into a cool box of ${COOLER.litres} l with ${COOLER.iceKg} kg of ice packs`,
  request: { ...base, ...COOLER, openings: [], readings: [] },
});

/** What each measure would be asked as; the difference to {@link coarsely} is what it brings. */
export function coldMeasures(request: CutRequest): ColdMeasure[] {
  const base = coarsely(request);
  const cold = request.kind === 'fridge' ? 'fridge' : 'freezer';
  const last = base.openings.at(-1)?.atH ?? 0;
  const hourly = Array.from({ length: 6 }, (_, at) => ({ atH: last + at + 1, seconds: 30 }));
  return [
    {
      key: 'ice',
      says: `${ICE_KG[cold]} kg of ice packs put in now`,
      request: { ...base, iceKg: base.iceKg + ICE_KG[cold] },
    },
    {
      key: 'blankets',
      says: 'Blankets all round it, and a folded one on top',
      request: { ...base, walls: BLANKETS },
    },
    ...(cold === 'fridge' ? [cooler(base)] : []),
    {
      key: 'eaten',
      says: 'A tenth of what is in it eaten first, taken out in one opening',
      request: {
        ...base,
        fill: Math.max(0.05, base.fill * (1 - EATEN)),
        openings: [...base.openings, { atH: last, seconds: 30 }],
      },
    },
    {
      key: 'doors',
      says: 'The door opened once an hour instead of left shut',
      request: { ...base, openings: [...base.openings, ...hourly] },
    },
  ];
}
