import { QUERIES } from '@/services/door/queries';
import { readWhatIf } from '@/services/stock/whatIf';
import { reads } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, (_query, { code = '' }) =>
  readWhatIf(code),
);
