import { printZoneLabels } from '@/services/papers/zonePapers';
import { respondPdf } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respondPdf('zone-labels.pdf', () =>
    printZoneLabels(new URL(request.url).searchParams.get('appliance') ?? ''),
  );
