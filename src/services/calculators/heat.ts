import Joi from 'joi';
import type { Food } from '@/core/model/food';
import {
  FREEZE_MEDIA,
  type FreezeMedium,
  type HeatMedium,
  THAW_MEDIA,
  type ThawMedium,
} from '@/core/thermal/heatMedia';
import type { PackageShape } from '@/core/thermal/bodyOfShape';
import type { ThermalFood } from '@/core/thermal/foodProperties';
import { type HeatAnswer, heatHours } from '@/core/thermal/heatHours';
import { thermalFood } from '@/core/thermal/thermalFood';
import { isWholeBird } from '@/core/foods/foodKinds';
import { foodNamed, ourHousehold, referenceOf } from '../household/household';
import { Problem } from '../door/problem';
import { validate } from '../door/validate';

const mm = (most = 1000) => Joi.number().min(1).max(most);
const share = Joi.number().min(0).max(100).required();

const shapeSchema = Joi.alternatives()
  .try(
    Joi.object({
      kind: Joi.string().valid('flat').required(),
      length_mm: mm().required(),
      width_mm: mm().required(),
      thickness_mm: mm(400),
    }),
    Joi.object({
      kind: Joi.string().valid('block').required(),
      length_mm: mm(),
      width_mm: mm(),
      height_mm: mm(),
    }),
    Joi.object({ kind: Joi.string().valid('tub').required(), diameter_mm: mm(), height_mm: mm() }),
    Joi.object({ kind: Joi.string().valid('round').required(), diameter_mm: mm() }),
    Joi.object({ kind: Joi.string().valid('loose').required(), diameter_mm: mm(200) }),
  )
  .required();

const common = {
  food: Joi.string().trim().min(1).max(120).description('id, name or alias; or a composition instead'),
  composition: Joi.object({
    water: share,
    protein: share,
    fat: share,
    carbohydrate: share,
    fibre: share,
    ash: share,
    freezing_point_c: Joi.number().min(-60).max(-0.05).default(-1),
  }),
  mass_g: Joi.number().min(1).max(200_000),
  shape: shapeSchema,
};

export const thawSchema = Joi.object({
  ...common,
  start_c: Joi.number().min(-40).max(30).default(-18),
  medium: Joi.string()
    .valid(...Object.keys(THAW_MEDIA))
    .default('fridge'),
  ambient_c: Joi.number().min(-40).max(60),
})
  .xor('food', 'composition')
  .meta({ className: 'ThawRequest' });

export const freezeSchema = Joi.object({
  ...common,
  start_c: Joi.number().min(-40).max(60).default(4),
  medium: Joi.string()
    .valid(...Object.keys(FREEZE_MEDIA))
    .default('still'),
  ambient_c: Joi.number().min(-60).max(30),
})
  .xor('food', 'composition')
  .meta({ className: 'FreezeRequest' });

interface HeatRequest {
  food?: string;
  composition?: Food['composition'] & { freezing_point_c: number };
  mass_g?: number;
  shape: { kind: PackageShape['kind'] } & Partial<
    Record<'length_mm' | 'width_mm' | 'height_mm' | 'thickness_mm' | 'diameter_mm', number>
  >;
  start_c: number;
  medium: FreezeMedium | ThawMedium;
  ambient_c?: number;
}

function toShape(told: HeatRequest['shape'], bird: boolean): PackageShape {
  const { kind, length_mm, width_mm, height_mm, thickness_mm, diameter_mm } = told;
  switch (kind) {
    case 'flat':
      return { kind, lengthMm: length_mm ?? 0, widthMm: width_mm ?? 0, thicknessMm: thickness_mm };
    case 'block':
      return { kind, lengthMm: length_mm, widthMm: width_mm, heightMm: height_mm };
    case 'tub':
      return { kind, diameterMm: diameter_mm, heightMm: height_mm };
    case 'round':
      return { kind, diameterMm: diameter_mm, bird };
    case 'loose':
      return { kind, diameterMm: diameter_mm };
  }
}

/** The food of a request: of the table, or as it is made up. A composition counts as controlled. */
async function foodOf(request: HeatRequest): Promise<{ thermal: ThermalFood; food: Food | null }> {
  if (request.composition) {
    const { freezing_point_c: freezingPointC, ...composition } = request.composition;
    if (Object.values(composition).every((part) => part === 0) || composition.water === 0) {
      throw new Problem(400, 'invalid', 'A food without water does not freeze or thaw.', {
        fields: [{ path: 'composition.water', message: 'more than 0' }],
      });
    }
    return { thermal: { composition, freezingPointC, porosity: 0 }, food: null };
  }
  const household = await ourHousehold();
  const { index } = await referenceOf(household);
  const food = foodNamed(index, request.food ?? '');
  return { thermal: thermalFood(food), food };
}

const SOURCE =
  'heat conduction with phase change (component properties after Choi and Okos, shape factors after Cleland and Earle)';

const round = (hours: number | null): number | null => (hours === null ? null : Number(hours.toPrecision(6)));

function toAnswer(answer: HeatAnswer, allowed: boolean, says: string) {
  return {
    hours_typical: round(answer.hoursTypical),
    hours_cautious: round(answer.hoursCautious),
    thickness_mm: Number(answer.thicknessMm.toPrecision(6)),
    allowed,
    says,
    curve: answer.curve.map(({ h, coreC, surfaceC }) => ({ h, core_c: coreC, surface_c: surfaceC })),
    source: SOURCE,
  };
}

/** "about 4.2 hours", "about 2 days"; two significant figures, never as exact. */
function about(hours: number | null): string {
  if (hours === null) return 'more than 40 days';
  if (hours < 1) return `about ${Math.max(1, Math.round(hours * 60))} minutes`;
  if (hours < 48) return `about ${Number(hours.toPrecision(2))} hours`;
  return `about ${Number((hours / 24).toPrecision(2))} days`;
}

async function solve(request: HeatRequest, way: 'freeze' | 'thaw', medium: HeatMedium) {
  const { thermal, food } = await foodOf(request);
  const bird = food !== null && isWholeBird(food);
  const answer = heatHours({
    way,
    food: thermal,
    massG: request.mass_g ?? null,
    shape: toShape(request.shape, bird),
    startC: request.start_c,
    medium,
    ambientC: request.ambient_c ?? medium.ambientC,
    wholeBird: bird,
  });
  return { answer, food };
}

/** POST /api/v1/estimates/freeze. @throws Problem or Refusal */
export async function estimateFreeze(body: unknown) {
  const request = validate<HeatRequest>(freezeSchema, body);
  const { answer } = await solve(request, 'freeze', FREEZE_MEDIA[request.medium as FreezeMedium]);
  const says = `Frozen through in ${about(answer.hoursTypical)}, ${about(answer.hoursCautious)} to be sure.`;
  return toAnswer(answer, true, says);
}

const METAL_HOURS = 2;

/** POST /api/v1/estimates/thaw. @throws Problem or Refusal */
export async function estimateThaw(body: unknown) {
  const request = validate<HeatRequest>(thawSchema, body);
  const medium = request.medium as ThawMedium;
  const { answer, food } = await solve(request, 'thaw', THAW_MEDIA[medium]);
  const controlled = food?.controlled ?? true;
  const slow = answer.hoursCautious === null || answer.hoursCautious > METAL_HOURS;
  const refused = controlled && (medium === 'counter' || (medium === 'metal' && slow));
  const says = [
    `Thawed in ${about(answer.hoursTypical)}, ${about(answer.hoursCautious)} to be sure.`,
    refused
      ? 'Not this way: its outside would stand warm for too long. Use the fridge, or cold water and cook at once.'
      : '',
    medium.startsWith('cold-water') ? 'In a tight bag; cook it at once.' : '',
    !refused && medium === 'metal' ? 'Cook it at once.' : '',
  ];
  return toAnswer(answer, !refused, says.filter((part) => part !== '').join(' '));
}
