import { printChestPlan } from '@/services/papers/zonePapers';
import { respondPdf } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respondPdf('chest-plan.pdf', () =>
    printChestPlan(new URL(request.url).searchParams.get('appliance') ?? ''),
  );
