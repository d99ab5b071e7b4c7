import { QUERIES } from '@/services/door/queries';
import { openApi } from '@/services/door/openApi';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, () => Promise.resolve(openApi()), {
  asIs: true,
  may: 'anyone',
});
