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
      'where a package was in between: “out” counts its minutes all the same, “cold” says the entry was wrong, “never” says so a second time where it left on another day, “never” says so once more where it left on another day, “ask” refuses where it matters',
    ),
});
