import { fillingOf } from '@/core/foods/foodKinds';
import { MOST_PACKS } from '@/core/model/limits';
import Joi from 'joi';
import {
  AFTERWARDS,
  CAUTIONS,
  type HistoryEvent,
  STARTS,
  THAW_METHODS,
  WRAPS,
  type KeepingConditions,
  type PrintedDate,
} from '@/core/model/history';
import { judgeKeeping, keepingOn } from '@/core/keeping/judgeKeeping';
import type { Food } from '@/core/model/food';
import { fillLine, type Mouth, MOUTHS } from '@/core/packaging/fillLine';
import type { PortionPlan } from '@/core/portions/packCount';
import { planPortions } from '@/core/portions/planPortions';
import { APPETITES } from '@/core/portions/portionGrams';
import { packHours } from '@/core/thermal/packageThawHours';
import { todayIn } from '../door/clock';
import { foodNamed, ourHousehold, referenceOf } from '../household/household';
import { dateSchema, plainText, validate } from '../door/validate';
import { printedDate } from '../door/schemas/printedDate';

const foodName = Joi.string().trim().min(1).max(120).required().description('id, name or alias');

export const keepingSchema = Joi.object({
  food: foodName,
  today: dateSchema.optional().description('the household’s today when left out'),
  history: Joi.array()
    .items(
      Joi.object({
        did: Joi.string()
          .valid(...STARTS, ...AFTERWARDS)
          .required(),
        on: dateSchema.required(),
        method: Joi.string()
          .valid(...THAW_METHODS)
          .when('did', { is: 'thawed', then: Joi.required(), otherwise: Joi.forbidden() }),
        c: Joi.number()
          .min(-40)
          .max(30)
          .description('°C of the zone it went to; not told for freezing and thawing: as below')
          .when('did', {
            switch: [
              { is: 'moved', then: Joi.required() },
              { is: Joi.valid('frozen', 'refrozen', 'thawing', ...STARTS), then: Joi.optional() },
            ],
            otherwise: Joi.forbidden(),
          }),
        frozen: Joi.boolean()
          .description('it came in hard frozen, out of a freezer (K5)')
          .when('did', { is: Joi.valid(...STARTS), otherwise: Joi.forbidden() }),
        minutes: Joi.number()
          .integer()
          .min(1)
          .max(10_080)
          .description('out of the cold')
          .when('did', { is: 'counter', then: Joi.required(), otherwise: Joi.forbidden() }),
        hot: Joi.boolean()
          .description('above 32 °C')
          .when('did', { is: 'counter', otherwise: Joi.forbidden() }),
        content: dateSchema
          .description('the day what was added to the pot began')
          .when('did', { is: 'topped-up', then: Joi.required(), otherwise: Joi.forbidden() }),
        full: Joi.boolean()
          .description('the pot’s cap is reached')
          .when('did', { is: 'topped-up', otherwise: Joi.forbidden() }),
        dried: Joi.boolean()
          .description('washed and dried well')
          .when('did', { is: 'washed', then: Joi.required(), otherwise: Joi.forbidden() }),
      }),
    )
    .min(1)
    .max(100)
    .required(),
  printed: printedDate.allow(null).default(null),
  wrap: Joi.string()
    .valid(...WRAPS)
    .default('zip-bag'),
  blanched: Joi.boolean().default(true),
  fridge_c: Joi.number().min(-5).max(30).default(4),
  freezer_c: Joi.number().min(-40).max(0).default(-18),
  caution: Joi.string()
    .valid(...CAUTIONS)
    .default('usual'),
}).meta({ className: 'KeepingRequest' });

interface KeepingRequest {
  food: string;
  today?: string;
  history: HistoryEvent[];
  printed: PrintedDate | null;
  wrap: KeepingConditions['wrap'];
  blanched: boolean;
  fridge_c: number;
  freezer_c: number;
  caution: KeepingConditions['caution'];
}

/** POST /api/v1/estimates/keeping. @throws Problem or Refusal */
export async function estimateKeeping(body: unknown) {
  const request = validate<KeepingRequest>(keepingSchema, body);
  const household = await ourHousehold();
  const { index } = await referenceOf(household);
  const food = foodNamed(index, request.food);
  const today = request.today ?? todayIn(household.timeZone);
  const keeping = judgeKeeping(food, request.history, today, {
    printed: request.printed,
    wrap: request.wrap,
    blanched: request.blanched,
    fridgeC: request.fridge_c,
    freezerC: request.freezer_c,
    caution: request.caution,
    thawHours: null,
  });
  const standing = keepingOn(keeping, today);
  return {
    food: { id: food.id, name: food.name },
    state: keeping.state,
    use_by: keeping.useBy,
    best_by: keeping.bestBy,
    governing: keeping.governing,
    days_left: standing.daysLeft,
    band: standing.band,
    verdict: standing.verdict,
    trail: keeping.trail,
  };
}

export const portionsSchema = Joi.object({
  food: foodName,
  total_g: Joi.number().integer().min(1).max(200_000).required(),
  price_minor: Joi.number().integer().min(0).max(10_000_000).allow(null).default(null),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/)
    .when('price_minor', { is: Joi.number().required(), then: Joi.required() })
    .messages({ 'any.required': 'a price needs its currency' }),
  plan: Joi.alternatives()
    .try(
      Joi.object({ packs: Joi.number().integer().min(1).max(MOST_PACKS).required() }),
      Joi.object({ portion_g: Joi.number().integer().min(1).max(200_000).required() }),
      Joi.object({
        eaters: Joi.number().integer().min(1).max(50).required(),
        appetite: Joi.string()
          .valid(...APPETITES)
          .default('usual'),
      }),
      Joi.object({
        parts: Joi.array()
          .items(
            Joi.object({
              count: Joi.number().integer().min(1).max(MOST_PACKS).required(),
              form: plainText(40).min(1).required(),
            }),
          )
          .min(1)
          .max(20)
          .required(),
      }),
    )
    .required(),
  wrap: Joi.string().valid(...WRAPS),
  container: Joi.object({
    kind: Joi.string().valid('bag', 'box', 'jar', 'tub').required(),
    length_mm: Joi.number().min(20).max(1000),
    width_mm: Joi.number().min(20).max(1000),
    height_mm: Joi.number().min(20).max(1000).description('inner height, for jars and tubs'),
    capacity_ml: Joi.number().min(20).max(20_000).description('to the rim, for jars and tubs'),
    mouth: Joi.string()
      .valid(...MOUTHS)
      .description('a jar counts as narrow, a tub as wide when nobody says'),
  }),
  form: plainText(40).min(1),
  freezer_l: Joi.number().min(1).max(2000),
}).meta({ className: 'PortionsRequest' });

interface PortionsRequest {
  food: string;
  total_g: number;
  price_minor: number | null;
  currency?: string;
  plan: {
    packs?: number;
    portion_g?: number;
    eaters?: number;
    appetite?: 'usual';
    parts?: { count: number; form: string }[];
  };
  container?: {
    kind: 'bag' | 'box' | 'jar' | 'tub';
    length_mm?: number;
    width_mm?: number;
    height_mm?: number;
    capacity_ml?: number;
    mouth?: Mouth;
  };
  form?: string;
  freezer_l?: number;
}

function toPlan({ packs, portion_g, eaters, appetite, parts }: PortionsRequest['plan']): PortionPlan {
  if (packs !== undefined) return { packs };
  if (portion_g !== undefined) return { portionG: portion_g };
  if (parts !== undefined) return { parts };
  return { eaters: eaters ?? 1, appetite: appetite ?? 'usual' };
}

/** How far a jar or tub is filled, and a warning when a pack is more than that; `null`: it is not one, or of unknown size. */
function toFill(container: PortionsRequest['container'], food: Food, largestG: number) {
  if (!container?.capacity_ml || (container.kind !== 'jar' && container.kind !== 'tub')) return null;
  const mouth = container.mouth ?? (container.kind === 'jar' ? 'narrow' : 'wide');
  const vessel = { capacityMl: container.capacity_ml, mouth, heightMm: container.height_mm ?? null };
  const line = fillLine(vessel, fillingOf(food), food.composition.water);
  const packMl = Math.round(largestG / food.densityKgPerL);
  const over =
    packMl > line.fillMl
      ? {
          rule: 'packing',
          says: `A pack is ${packMl} ml; ${line.fillMl} ml go in below the fill line, ${line.headspaceMm} mm under the rim. Make more, smaller packs.`,
        }
      : null;
  return { ...line, over };
}

/** POST /api/v1/estimates/portions. @throws Problem or Refusal */
export async function estimatePortions(body: unknown) {
  const request = validate<PortionsRequest>(portionsSchema, body);
  const household = await ourHousehold();
  const { index } = await referenceOf(household);
  const { container } = request;
  const bag =
    container?.kind === 'bag' && container.length_mm && container.width_mm
      ? { lengthMm: container.length_mm, widthMm: container.width_mm }
      : null;
  const food = foodNamed(index, request.food);
  const answer = planPortions({
    food,
    totalG: request.total_g,
    plan: toPlan(request.plan),
    priceMinor: request.price_minor,
    form: request.form ?? null,
    bag,
    freezerL: request.freezer_l ?? null,
  });
  const fill = toFill(container, food, Math.max(...answer.packs.map(({ amountG }) => amountG)));
  return {
    ...(fill ? { fill_ml: fill.fillMl, headspace_mm: fill.headspaceMm } : {}),
    packs: answer.packs.map((pack) => {
      const hours =
        food.freezeFit === 'no'
          ? null
          : packHours(food, pack.amountG, pack.thicknessMm === null ? null : bag);
      return {
        count: pack.count,
        amount_g: pack.amountG,
        price_minor: pack.priceMinor,
        form: pack.form,
        thickness_mm: pack.thicknessMm,
        freeze_hours: hours?.freeze ?? null,
        thaw: hours && { fridge: hours.thawFridge, cold_water: hours.thawColdWater },
      };
    }),
    alternatives: answer.alternatives.map(({ packs, largestG, smallestG }) => ({
      packs,
      largest_g: largestG,
      smallest_g: smallestG,
    })),
    batches: answer.batches,
    warnings: fill?.over ? [...answer.warnings, fill.over] : answer.warnings,
  };
}
