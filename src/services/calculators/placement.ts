import Joi from 'joi';
import { ZONE_KINDS } from '@/core/model/drawing';
import type { PlacingPackage, PlacingZone } from '@/core/placement/placing';
import { foodNamed, ourHousehold, referenceOf } from '../household/household';
import { Problem } from '../door/problem';
import { heavy } from './heavy';
import { solvePlacement } from './solvePlacement';
import { plainText, validate } from '../door/validate';

const id = Joi.string().trim().min(1).max(80);
const mm = Joi.number().min(1).max(5000).allow(null).default(null);
const litres = Joi.number().min(0).max(3000);
const words = Joi.array().items(plainText(60).min(1)).max(20).allow(null).default([]);

export const placementSchema = Joi.object({
  zones: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        appliance: id.required(),
        kind: Joi.string()
          .valid(...ZONE_KINDS)
          .required(),
        temperature_c: Joi.number().min(-60).max(60).allow(null).default(null),
        humidity: Joi.string().valid('low', 'high', 'null').allow(null).default(null),
        order: Joi.number().min(0).max(1000).default(1),
        litres: litres.default(0),
        free_litres: litres.required(),
        width_mm: mm,
        depth_mm: mm,
        height_mm: mm,
        leakproof: Joi.boolean().default(false),
        only: words,
        never: words,
        purpose: plainText(80).allow('', null).default(''),
        lifts: Joi.number().min(0).max(50).default(0),
      }),
    )
    .max(200)
    .unique('id')
    .required(),
  contents: Joi.array()
    .items(Joi.object({ zone: id.required(), food: id.required() }))
    .max(2000)
    .default([]),
  packages: Joi.array()
    .items(
      Joi.object({
        id: id.required(),
        food: id.required(),
        state: Joi.string().valid('chilled', 'frozen').required(),
        litres: litres.required(),
        rigid_mm: Joi.array().items(Joi.number().min(1).max(5000)).length(3).allow(null).default(null),
        days_left: Joi.number().min(-10_000).max(10_000).allow(null).default(null),
        takes_per_week: Joi.number().min(0).max(1000).allow(null).default(0),
        pinned: id
          .allow(null)
          .default(null)
          .description('the zone the cook chose; hard rules hold there too'),
      }),
    )
    .max(200)
    .unique('id')
    .required(),
}).meta({ className: 'PlacementRequest' });

interface PlacementRequest {
  zones: {
    id: string;
    appliance: string;
    kind: PlacingZone['kind'];
    temperature_c: number | null;
    humidity: 'low' | 'high' | 'null' | null;
    order: number;
    litres: number;
    free_litres: number;
    width_mm: number | null;
    depth_mm: number | null;
    height_mm: number | null;
    leakproof: boolean;
    only: string[] | null;
    never: string[] | null;
    purpose: string | null;
    lifts: number;
  }[];
  contents: { zone: string; food: string }[];
  packages: {
    id: string;
    food: string;
    state: 'chilled' | 'frozen';
    litres: number;
    rigid_mm: [number, number, number] | null;
    days_left: number | null;
    takes_per_week: number | null;
    pinned: string | null;
  }[];
}

const toZone = (zone: PlacementRequest['zones'][number]): PlacingZone => ({
  id: zone.id,
  appliance: zone.appliance,
  kind: zone.kind,
  temperatureC: zone.temperature_c,
  humidity: zone.humidity === 'null' ? null : zone.humidity,
  order: zone.order,
  freeLitres: zone.free_litres,
  litres: zone.litres,
  widthMm: zone.width_mm,
  depthMm: zone.depth_mm,
  heightMm: zone.height_mm,
  leakproof: zone.leakproof,
  only: zone.only ?? [],
  never: zone.never ?? [],
  purpose: zone.purpose ?? '',
  lifts: zone.lifts,
});

/** POST /api/v1/estimates/placement: a place for each package of a haul, all at once. @throws Problem */
export async function estimatePlacement(body: unknown) {
  const request = validate<PlacementRequest>(placementSchema, body);
  const household = await ourHousehold();
  const { index } = await referenceOf(household);
  const zones = request.zones.map(toZone);
  const unknown = request.contents.find(({ zone }) => !zones.some(({ id: zoneId }) => zoneId === zone));
  if (unknown) {
    throw new Problem(422, 'unknown-zone', `There is no zone “${unknown.zone}” to hold ${unknown.food}.`, {
      fields: [{ path: 'contents', message: `zone ${unknown.zone} is not among the zones` }],
    });
  }
  const contents = request.contents.map(({ zone, food }) => ({ zone, food: foodNamed(index, food) }));
  const packages = request.packages.map((found): PlacingPackage => ({
    id: found.id,
    food: foodNamed(index, found.food),
    state: found.state,
    litres: found.litres,
    rigidMm: found.rigid_mm,
    daysLeft: found.days_left,
    takesPerWeek: found.takes_per_week ?? 0,
  }));
  const pins = new Map(request.packages.map(({ id: packageId, pinned }) => [packageId, pinned]));
  const lost = request.packages.find(
    ({ pinned }) => pinned !== null && !zones.some((zone) => zone.id === pinned),
  );
  if (lost) {
    throw new Problem(422, 'unknown-zone', `There is no zone “${lost.pinned}” to pin ${lost.id} to.`, {
      fields: [{ path: 'packages', message: `zone ${lost.pinned} is not among the zones` }],
    });
  }
  const solved = await solvePlacement(zones, contents, packages, pins);
  return {
    assignments: solved.assignments.map(({ package: found, zone, score }) => ({
      id: found.id,
      zone: zone.id,
      score: Number(score.points.toFixed(1)),
      reasons: score.reasons,
    })),
    refused: solved.refused.map(({ package: found, ...refusal }) => ({ id: found.id, ...refusal })),
    moves: contents.length === 0 ? [] : await heavy('placementMoves', zones, contents),
  };
}
