import { rehome } from '../../schemas/rehome';
import { uuid } from '../../schemas/words';
import { removeApplianceCommand } from '@/core/ledger/kitchen/removeAppliance';
import { atDoor } from '../../atDoor';

export const removeApplianceDoor = atDoor(removeApplianceCommand, { appliance: uuid.required(), rehome });
