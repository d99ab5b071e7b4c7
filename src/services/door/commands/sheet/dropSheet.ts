import Joi from 'joi';
import { dropSheetCommand } from '@/core/ledger/sheet/dropSheet';
import { atDoor } from '../../atDoor';

export const dropSheetDoor = atDoor(dropSheetCommand, { code: Joi.string().max(8).required() });
