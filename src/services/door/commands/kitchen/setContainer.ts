import { containerSchema } from '../../schemas/container';
import { setContainerCommand } from '@/core/ledger/kitchen/setContainer';
import { atDoor } from '../../atDoor';

export const setContainerDoor = atDoor(setContainerCommand, { container: containerSchema.required() });
