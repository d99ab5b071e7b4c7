import { QUERIES } from '@/services/door/queries';
import { printZoneLabels } from '@/services/papers/zonePapers';
import { prints } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints(
  'zone-labels.pdf',
  QUERIES.appliance,
  ({ appliance }: { appliance: string }) => printZoneLabels(appliance),
);
