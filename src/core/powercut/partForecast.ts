import type { Cut, CutOpening, CutPart, CutReading } from '../model/cut';
import type { CutRequest, ForecastKind } from './cutForecast';

const HOUR_MS = 3_600_000;
const SAMPLES = 2000;
const SEED = 7;
const FREEZER_H = 72;
const FRIDGE_H = 12;

/** What of a drawn compartment bears on how it warms. */
export interface WarmingPart {
  forecast: ForecastKind;
  litres: number;
}

/**
 * What is asked of the forecast for one part of a cut: its doors and readings so far, hours after the cut began. A reading at or
 * before the start tells how cold it began.
 */
export function partForecast(
  cut: Pick<Cut, 'from'>,
  part: CutPart,
  { forecast: kind, litres }: WarmingPart,
  told: { readings: readonly CutReading[]; openings: readonly CutOpening[] },
): CutRequest {
  const hourOf = (at: string): number => (Date.parse(at) - Date.parse(cut.from)) / HOUR_MS;
  const its = told.readings
    .filter((reading) => reading.part === part.id)
    .map(({ at, c }) => ({ atH: hourOf(at), c }))
    .sort((a, b) => a.atH - b.atH);
  const begun = its.findLast(({ atH }) => atH <= 0);
  return {
    kind,
    litres: Math.max(5, litres),
    fill: part.fill,
    iceKg: part.iceKg,
    waterKg: part.waterKg,
    startC: begun?.c ?? null,
    ambientC: part.roomC,
    openings: told.openings
      .filter((opening) => opening.part === part.id)
      .map(({ at, seconds }) => ({ atH: Math.max(0, hourOf(at)), seconds }))
      .sort((a, b) => a.atH - b.atH),
    readings: its.filter(({ atH }) => atH > 0),
    hours: kind === 'fridge' ? FRIDGE_H : FREEZER_H,
    samples: SAMPLES,
    seed: SEED,
  };
}
