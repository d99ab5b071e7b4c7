import Joi from 'joi';
import { type CutRequest, FORECAST_KINDS } from '@/core/powercut/cutForecast';
import type { Quantiles } from '@/core/powercut/forecastCut';
import { heavy } from '../calculators/heavy';
import { validate } from '../door/validate';

export const cutForecastSchema = Joi.object({
  appliance: Joi.object({
    kind: Joi.string()
      .valid(...FORECAST_KINDS)
      .required(),
    litres: Joi.number().min(5).max(2000).required().description('of the compartment asked about'),
    fill: Joi.number().min(0).max(1).required(),
    ice_kg: Joi.number().min(0).max(200).default(0),
    water_kg: Joi.number().min(0).max(200).default(0),
    start_c: Joi.number().min(-40).max(15).allow(null).default(null),
  }).required(),
  ambient_c: Joi.number().min(-20).max(50).default(22),
  openings: Joi.array()
    .items(
      Joi.object({
        at_h: Joi.number().min(0).max(240).required(),
        seconds: Joi.number().min(0).max(86_400).required(),
      }),
    )
    .max(500)
    .default([]),
  readings: Joi.array()
    .items(
      Joi.object({
        at_h: Joi.number().min(0).max(240).required(),
        c: Joi.number().min(-60).max(60).required().description('of the air'),
      }),
    )
    .max(500)
    .default([]),
  hours: Joi.number().min(1).max(240).default(72),
  samples: Joi.number().integer().min(200).max(5000).default(2000),
  seed: Joi.number().integer().min(0).max(4_294_967_295).default(1),
}).meta({ className: 'CutForecastRequest' });

interface RawRequest extends Pick<CutRequest, 'hours' | 'samples' | 'seed'> {
  appliance: {
    kind: CutRequest['kind'];
    litres: number;
    fill: number;
    ice_kg: number;
    water_kg: number;
    start_c: number | null;
  };
  ambient_c: number;
  openings: { at_h: number; seconds: number }[];
  readings: { at_h: number; c: number }[];
}

/** A number for the answer; "not within the hours" is null. */
const told = (value: number): number | null => (Number.isFinite(value) ? Number(value.toPrecision(6)) : null);
const quantiles = ({ p10, p50, p90 }: Quantiles) => ({ p10: told(p10), p50: told(p50), p90: told(p90) });

/** POST /api/v1/estimates/outage: how a compartment warms without power. @throws Problem */
export async function estimateOutage(body: unknown) {
  const request = validate<RawRequest>(cutForecastSchema, body);
  const { kind, litres, fill, ice_kg, water_kg, start_c } = request.appliance;
  const { hours, samples, seed } = request;
  const forecast = await heavy('forecastCut', {
    kind,
    litres,
    fill,
    iceKg: ice_kg,
    waterKg: water_kg,
    startC: start_c,
    ambientC: request.ambient_c,
    openings: request.openings.map(({ at_h, seconds }) => ({ atH: at_h, seconds })),
    readings: request.readings.map(({ at_h, c }) => ({ atH: at_h, c })),
    hours,
    samples,
    seed,
  });
  return {
    published_limit_h: told(forecast.publishedLimitH),
    to_4c_h: quantiles(forecast.to4c),
    safe_until_h: told(forecast.safeUntilH),
    band: forecast.band.map(({ h, ...rest }) => ({ h, ...quantiles(rest) })),
    with_readings: forecast.withReadings,
  };
}
