import type { UnitSystem } from '@/core/units/readAmount';
import { readDegrees } from '../units/readDegrees';
import type { CompartmentView } from '@/services/kitchen/drawing';
import type { DOORS, TELLTALES } from '@/core/powercut/powerCut';

/** What the cook tells of one appliance; times as the browser's local input gives them. */
export interface CutForm {
  id: string;
  name: string;
  kind: 'fridge' | 'freezer';
  told: boolean;
  fillPercent: number;
  doors: (typeof DOORS)[number];
  telltale: (typeof TELLTALES)[number];
  readings: { at: string; c: string }[];
}

/** What was seen of one package. */
export interface SeenForm {
  ice_crystals?: boolean;
  measured_c?: number;
  slime?: boolean;
  mould?: boolean;
  dripped_on?: boolean;
  seal_broken?: boolean;
}

export const beginForm = (inside: CompartmentView): CutForm => ({
  id: inside.id,
  name: inside.called,
  kind: inside.cold,
  told: true,
  fillPercent: Math.round(inside.fill * 100),
  doors: 'shut',
  telltale: 'none',
  readings: [],
});

/** Warmer than this the air inside an appliance never is, °C; such a figure is °F. */
const MOST_AIR_C = 32;

/** What is still wrong with the form, in words; empty when it can be judged. */
export function formFault(
  from: string,
  until: string,
  forms: readonly CutForm[],
  units: UnitSystem = 'metric',
): string {
  if (from === '') return '';
  const begin = Date.parse(from);
  if (begin > Date.now()) return 'The power cannot have gone off after now.';
  if (until !== '' && Date.parse(until) < begin)
    return 'The power came back before it went; check the two times.';
  if (until !== '' && Date.parse(until) > Date.now()) return 'The power cannot have come back after now.';
  if (!forms.some(({ told }) => told)) return 'Choose at least one appliance.';
  for (const form of forms) {
    const bad = form.readings.find(
      ({ at, c }) => (at === '') !== (c === '') || (c !== '' && !Number.isFinite(readDegrees(c, units))),
    );
    if (bad) return `${form.name}: a reading needs a time and a temperature.`;
    const odd = form.readings.find(({ c }) => c !== '' && readDegrees(c, units) > MOST_AIR_C);
    if (odd && units === 'us')
      return `${form.name}: ${odd.c} °F is warmer than any kitchen. What did it show?`;
    if (odd) {
      const celsius = Math.round(((Number(odd.c.replace(',', '.')) - 32) * 5) / 9);
      return `${form.name}: ${odd.c} °C is warmer than any kitchen. If it was °F, that is ${String(celsius).replace('-', '−')} °C.`;
    }
  }
  return '';
}

/** The request for `POST /api/v1/judge/stock`. */
export function toRequest(
  from: string,
  until: string,
  forms: readonly CutForm[],
  seen: Record<string, SeenForm>,
  units: UnitSystem = 'metric',
) {
  const instant = (local: string): string => new Date(local).toISOString();
  return {
    appliances: forms
      .filter(({ told }) => told)
      .map((form) => ({
        id: form.id,
        kind: form.kind,
        fill: form.fillPercent / 100,
        from: instant(from),
        until: until === '' ? null : instant(until),
        doors: form.doors,
        telltale: form.kind === 'freezer' ? form.telltale : 'none',
        readings: form.readings
          .filter(({ at, c }) => at !== '' && c !== '')
          .map(({ at, c }) => ({ at: instant(at), c: readDegrees(c, units) })),
      })),
    seen,
  };
}
