import { QUERIES } from '@/services/door/queries';
import { printChestPlan } from '@/services/papers/zonePapers';
import { prints } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints(
  'chest-plan.pdf',
  QUERIES.appliance,
  ({ appliance }: { appliance: string }) => printChestPlan(appliance),
);
