import { QUERIES } from '@/services/door/queries';
import { readHouseholdChoice } from '@/services/household/households';
import { MEMBERS, reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readHouseholdChoice, { may: MEMBERS });
