import { QUERIES } from '@/services/door/queries';
import { readPackage } from '@/services/stock/package';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, (_query, { code = '' }) =>
  readPackage(code),
);
