import { uuid } from '../../schemas/words';
import { removeContainerCommand } from '@/core/ledger/kitchen/removeContainer';
import { atDoor } from '../../atDoor';

export const removeContainerDoor = atDoor(removeContainerCommand, { container: uuid.required() });
