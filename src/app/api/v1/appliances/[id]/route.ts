import { QUERIES } from '@/services/door/queries';
import { readApplianceDrawing } from '@/services/kitchen/kitchenDrawing';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(
  QUERIES.none,
  (_query, { id = '' }) => readApplianceDrawing(id),
  { asIs: true },
);
