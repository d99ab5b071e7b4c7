import { QUERIES } from '@/services/door/queries';
import { readPlaceChoices } from '@/services/kitchen/placeChoices';
import { reads } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(
  QUERIES.places,
  ({ state }: { state: string }, { code = '' }) => readPlaceChoices(code, state),
);
