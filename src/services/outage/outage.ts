import Joi from 'joi';
import { openedClass } from '@/core/powercut/openedClass';
import { judgeOutage } from '@/core/powercut/judgeOutage';
import { TELLTALES } from '@/core/model/cut';
import type { CutAppliance, ItemVerdict } from '@/core/powercut/powerCut';
import { now } from '../door/clock';
import { foodNamed, ourHousehold, outageClassOf, referenceOf } from '../household/household';
import { doors, seenSchema } from '../door/schemas/cut';
import { type RawSeen, toSeen } from './seenNames';
import { readingsSchema } from '../door/schemas/readings';
import { validateInTurns } from '../door/validateInTurns';
import { instantSchema } from '../door/validate';

const applianceSchema = Joi.object({
  id: Joi.string().min(1).max(64).required(),
  kind: Joi.string().valid('fridge', 'freezer').required(),
  fill: Joi.number().min(0).max(1).default(0.5),
  from: instantSchema.required(),
  until: instantSchema.allow(null).default(null).description('null while the cut lasts'),
  doors,
  readings: readingsSchema(1000, [-60, 60]).default([]),
  telltale: Joi.string()
    .valid(...TELLTALES)
    .default('none'),
  telltale_at: instantSchema.description('when it was looked at; left out: at the end'),
});

const MAX_ITEMS = 5000;

const itemSchema = Joi.object({
  id: Joi.string().min(1).max(64).required(),
  food: Joi.string().trim().min(1).max(120).required(),
  appliance: Joi.string().min(1).max(64).required(),
  opened: Joi.boolean().default(false),
  seen: seenSchema.default({}),
  seen_at: instantSchema.description('when it was looked at; left out: at the end'),
  cannot_check: Joi.boolean().default(false),
});

export const outageSchema = Joi.object({
  now: instantSchema.optional(),
  appliances: Joi.array().items(applianceSchema).min(1).max(50).unique('id').required(),
  items: Joi.array().items(itemSchema).max(MAX_ITEMS).required(),
}).meta({ className: 'OutageRequest' });

interface OutageRequest {
  now?: string;
  appliances: (CutAppliance & { telltale_at?: string })[];
  items: {
    id: string;
    food: string;
    appliance: string;
    opened: boolean;
    seen: RawSeen;
    seen_at?: string;
    cannot_check: boolean;
  }[];
}

/** POST /api/v1/judge/outage. @throws Problem or Refusal */
export async function judgeOutageRequest(body: unknown): Promise<{ verdicts: ItemVerdict[] }> {
  const request = await validateInTurns<OutageRequest, 'items'>(outageSchema, body, 'items', {
    item: itemSchema,
    most: MAX_ITEMS,
  });
  const household = await ourHousehold();
  const reference = await referenceOf(household);
  const items = request.items.map((item) => {
    const food = foodNamed(reference.index, item.food);
    return {
      id: item.id,
      appliance: item.appliance,
      food,
      outageClass: outageClassOf(reference, openedClass(food.outageClass, item.opened)),
      seen: toSeen(item.seen),
      cannotCheck: item.cannot_check,
      ...(item.seen_at === undefined ? {} : { seenAt: item.seen_at }),
    };
  });
  const appliances = request.appliances.map(({ telltale_at: at, ...one }) =>
    at === undefined ? one : { ...one, telltaleAt: at },
  );
  return { verdicts: judgeOutage(appliances, items, request.now ?? now()) };
}
