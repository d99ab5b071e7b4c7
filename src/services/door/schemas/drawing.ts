import { MOST_ZONES } from '@/core/model/limits';
import Joi from 'joi';
import { APPLIANCE_SHAPES, ZONE_KINDS } from '@/core/model/drawing';
import { plainText } from '../validate';
import { uuid } from './words';

// Signed and loose on purpose: what is wrong with a measure is said by the drawing's own check, by name.
export const mm = Joi.number().integer().min(-9999).max(9999);
const words = Joi.array().items(plainText(40).min(1)).max(20).default([]);

const compartment = Joi.object({
  id: uuid.required(),
  name: plainText(60).allow('').default(''),
  cold: Joi.string().valid('fridge', 'freezer').required(),
  xMm: mm.min(0).default(0),
  yMm: mm.min(0).default(0),
  widthMm: mm.required(),
  heightMm: mm.required(),
  depthMm: mm.required(),
  doorMm: mm.default(0).description('depth of the racks in its door; 0: none'),
});

const zone = Joi.object({
  id: uuid.required(),
  compartmentId: uuid.required(),
  parentId: uuid.allow(null).default(null),
  name: plainText(60).allow('').required(),
  purpose: plainText(80).allow('').default(''),
  kind: Joi.string()
    .valid(...ZONE_KINDS)
    .required(),
  side: Joi.string().valid('body', 'door').default('body'),
  xMm: mm.required(),
  yMm: mm.required(),
  zMm: mm.default(0).description('from the front'),
  widthMm: mm.required(),
  heightMm: mm.required(),
  depthMm: mm.required(),
  humidity: Joi.string().valid('low', 'high').allow(null).default(null),
  only: words,
  never: words,
  person: plainText(40).allow('').default(''),
  limitLitres: Joi.number().min(0.1).max(2000).allow(null).default(null),
  hardToReach: Joi.boolean().default(false),
  keptEmpty: Joi.boolean().default(false),
  leakproof: Joi.boolean().default(false),
});

/** An appliance as drawn. */
export const drawingSchema = Joi.object({
  id: uuid.required(),
  name: plainText(60).allow('').required(),
  room: plainText(60).min(1).required(),
  shape: Joi.string()
    .valid(...APPLIANCE_SHAPES)
    .required(),
  compartments: Joi.array().items(compartment).max(12).unique('id').required(),
  zones: Joi.array().items(zone).max(MOST_ZONES).unique('id').required(),
}).meta({ className: 'ApplianceDrawing' });
