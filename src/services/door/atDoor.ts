import Joi from 'joi';
import type { CommandKind } from '@/core/model/command';
import { uuid } from './schemas/words';
import { instantSchema } from './validate';

/** A phone without network keeps what it was told; a month is long enough. */
export const LATE_MS = 31 * 86_400_000;

/** A kind of command with the schema that guards it: all that the door knows of it. */
export interface DoorCommand {
  kind: CommandKind;
  schema: Joi.ObjectSchema;
  /** Its body as the core takes it. */
  read(told: Record<string, unknown>): object;
}

/**
 * Puts a kind of command at the door.
 *
 * @param body the schemas of its own fields; id, type and when it happened come by themselves
 * @param read where the API says it otherwise than the core
 */
export function atDoor<Body extends object>(
  kind: CommandKind<Body>,
  body: Joi.PartialSchemaMap,
  read: (told: never) => Body = (told) => told,
): DoorCommand {
  return {
    kind: kind as CommandKind,
    schema: Joi.object({
      id: uuid.required().description('chosen by the sender; repeating it is safe'),
      type: Joi.string().valid(kind.type).required(),
      at: instantSchema.optional().description('when it happened; now when left out'),
      ago_ms: Joi.number()
        .integer()
        .min(0)
        .max(LATE_MS)
        .description('instead of “at”: told so many milliseconds ago, and sent only now'),
      ...body,
    }).oxor('at', 'ago_ms'),
    read: read as DoorCommand['read'],
  };
}
