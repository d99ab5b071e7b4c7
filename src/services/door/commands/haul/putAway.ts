import { MOST_AWAY } from '@/core/model/limits';
import Joi from 'joi';
import { uuid, version } from '../../schemas/words';
import { plainText } from '../../validate';
import { putAwayCommand } from '@/core/ledger/haul/putAway';
import { atDoor } from '../../atDoor';

export const putAwayDoor = atDoor(putAwayCommand, {
  haul: uuid.required(),
  places: Joi.array()
    .items(
      Joi.object({
        package: uuid.required(),
        version: version.required(),
        zone: uuid.allow(null).required().description('null: it is kept out of the cold by design'),
        warning: plainText(160)
          .allow('')
          .default('')
          .description('what speaks against it, chosen all the same'),
      }),
    )
    .unique('package')
    .min(1)
    .max(MOST_AWAY)
    .required(),
});
