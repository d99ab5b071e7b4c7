import Joi from 'joi';
import { printLabelsCommand } from '@/core/ledger/labels/printLabels';
import { atDoor } from '../../atDoor';

export const printLabelsDoor = atDoor(printLabelsCommand, {
  codes: Joi.array()
    .items(Joi.string().pattern(/^[A-Z0-9]{4,8}$/))
    .min(1)
    .max(500)
    .unique()
    .required()
    .description('of the packages whose labels are printed or written'),
});
