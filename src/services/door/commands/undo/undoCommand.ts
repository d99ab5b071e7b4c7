import Joi from 'joi';
import { MEANWHILE } from '@/core/model/decision';
import { uuid } from '../../schemas/words';
import { undoCommandCommand } from '@/core/ledger/undo/undoCommand';
import { atDoor } from '../../atDoor';

export const undoCommandDoor = atDoor(undoCommandCommand, {
  command: uuid.required().description('id of the command to undo'),
  meanwhile: Joi.string()
    .valid(...MEANWHILE)
    .default('out')
    .description(
      'where a package was in between: “out” counts its minutes all the same, “cold” says the entry was wrong, “ask” refuses where it matters',
    ),
});
