import { QUERIES } from '@/services/door/queries';
import { readThermometers } from '@/services/outage/thermometers';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.thermometers, readThermometers, {
  asIs: true,
});
