import { QUERIES } from '@/services/door/queries';
import { readRunView } from '@/services/exchange/runs';
import { reads } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(
  QUERIES.none,
  (_query: object, { id = '' }) => readRunView(id),
  { asIs: true, may: ['cook'] },
);
