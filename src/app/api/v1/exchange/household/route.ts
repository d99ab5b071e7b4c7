import { QUERIES } from '@/services/door/queries';
import { exportHousehold } from '@/services/exchange/exportHousehold';
import { ourHousehold } from '@/services/household/household';
import { streams } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = streams(
  () => 'household.json',
  'application/json',
  QUERIES.none,
  async (_query, write) => exportHousehold(await ourHousehold(), write),
  { may: ['cook'], exports: () => 'The whole household was exported.' },
);
