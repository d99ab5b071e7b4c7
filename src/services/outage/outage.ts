import Joi from 'joi';
import { judgeOutage } from '@/core/powercut/judgeOutage';
import type { OutageClass } from '@/core/model/outageClass';
import { type CutAppliance, DOORS, type ItemVerdict, type Seen, TELLTALES } from '@/core/powercut/powerCut';
import { sql } from '@/store/database';
import { readFirstOut } from '@/store/packages';
import { now } from '../door/clock';
import { viewContext } from '../household/context';
import { foodNamed, ourHousehold, type Reference, referenceOf } from '../household/household';
import { type PackageView, toPackageView } from '../stock/packageView';
import { Problem } from '../door/problem';
import { instantSchema, validate } from '../door/validate';

const seenSchema = Joi.object({
  ice_crystals: Joi.boolean(),
  measured_c: Joi.number().min(-60).max(60).allow(null),
  mould: Joi.boolean(),
  slime: Joi.boolean(),
  off_smell: Joi.boolean(),
  seal_broken: Joi.boolean(),
  dripped_on: Joi.boolean(),
  flooded: Joi.boolean(),
});

const applianceSchema = Joi.object({
  id: Joi.string().min(1).max(64).required(),
  kind: Joi.string().valid('fridge', 'freezer').required(),
  fill: Joi.number().min(0).max(1).default(0.5),
  from: instantSchema.required(),
  until: instantSchema.allow(null).default(null).description('null while the cut lasts'),
  doors: Joi.string()
    .valid(...DOORS)
    .default('unknown'),
  readings: Joi.array()
    .items(Joi.object({ at: instantSchema.required(), c: Joi.number().min(-60).max(60).required() }))
    .max(1000)
    .default([]),
  telltale: Joi.string()
    .valid(...TELLTALES)
    .default('none'),
});

export const outageSchema = Joi.object({
  now: instantSchema.optional(),
  appliances: Joi.array().items(applianceSchema).min(1).max(50).unique('id').required(),
  items: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(64).required(),
        food: Joi.string().trim().min(1).max(120).required(),
        appliance: Joi.string().min(1).max(64).required(),
        opened: Joi.boolean().default(false),
        seen: seenSchema.default({}),
        cannot_check: Joi.boolean().default(false),
      }),
    )
    .max(5000)
    .required(),
}).meta({ className: 'OutageRequest' });

interface RawSeen {
  ice_crystals?: boolean;
  measured_c?: number | null;
  mould?: boolean;
  slime?: boolean;
  off_smell?: boolean;
  seal_broken?: boolean;
  dripped_on?: boolean;
  flooded?: boolean;
}

interface OutageRequest {
  now?: string;
  appliances: CutAppliance[];
  items: { id: string; food: string; appliance: string; seen: RawSeen; cannot_check: boolean }[];
}

const toSeen = (raw: RawSeen): Seen => ({
  iceCrystals: raw.ice_crystals,
  measuredC: raw.measured_c,
  mould: raw.mould,
  slime: raw.slime,
  offSmell: raw.off_smell,
  sealBroken: raw.seal_broken,
  drippedOn: raw.dripped_on,
  flooded: raw.flooded,
});

function classOf(reference: Reference, id: string): OutageClass {
  const found = reference.classes.get(id);
  if (!found) throw new Problem(500, 'fault', `The class ${id} is missing from the reference data.`);
  return found;
}

/** POST /api/v1/judge/outage. @throws Problem or Refusal */
export async function judgeOutageRequest(body: unknown): Promise<{ verdicts: ItemVerdict[] }> {
  const request = validate<OutageRequest>(outageSchema, body);
  const household = await ourHousehold();
  const reference = await referenceOf(household);
  const items = request.items.map((item) => {
    const food = foodNamed(reference.index, item.food);
    return {
      id: item.id,
      appliance: item.appliance,
      food,
      outageClass: classOf(reference, food.outageClass),
      seen: toSeen(item.seen),
      cannotCheck: item.cannot_check,
    };
  });
  return { verdicts: judgeOutage(request.appliances, items, request.now ?? now()) };
}

export const stockOutageSchema = Joi.object({
  appliances: Joi.array().items(applianceSchema).min(1).max(50).unique('id').required(),
  seen: Joi.object()
    .pattern(Joi.string().max(64), seenSchema)
    .default({})
    .description('what was seen of single packages, by package id'),
}).meta({ className: 'StockOutageRequest' });

interface StockOutageRequest {
  appliances: CutAppliance[];
  seen: Record<string, RawSeen>;
}

export interface StockVerdict extends ItemVerdict {
  package: PackageView;
}

/**
 * The same judgement for everything that lies in the appliances told about: what the Outage screen shows.
 *
 * @throws Problem or Refusal
 */
export async function judgeStock(body: unknown): Promise<{ verdicts: StockVerdict[] }> {
  const request = validate<StockOutageRequest>(stockOutageSchema, body);
  const context = await viewContext();
  const { household, kitchen, reference } = context;
  const told = new Set(request.appliances.map(({ id }) => id));
  const applianceOf = new Map(kitchen.zones.map((zone) => [zone.id, zone.compartmentId]));
  const packages = await readFirstOut(sql(), household.id, 20_000);
  const views = new Map(packages.map((found) => [found.id, toPackageView(found, context)]));
  const items = packages.flatMap((found) => {
    const appliance = found.zoneId === null ? undefined : applianceOf.get(found.zoneId);
    const food = reference.byId.get(found.foodId);
    if (appliance === undefined || !told.has(appliance) || !food) return [];
    return [
      {
        id: found.id,
        appliance,
        food,
        outageClass: classOf(reference, food.outageClass),
        seen: toSeen(request.seen[found.id] ?? {}),
        cannotCheck: false,
      },
    ];
  });
  const verdicts = judgeOutage(request.appliances, items, now());
  return {
    verdicts: verdicts.flatMap((verdict) => {
      const view = views.get(verdict.id);
      return view ? [{ ...verdict, package: view }] : [];
    }),
  };
}
