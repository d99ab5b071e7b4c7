import { printLabels } from '@/services/labels';
import { queryNumber, respondPdf } from '../respond';

export const GET = (request: Request): Promise<Response> =>
  respondPdf('labels.pdf', async () => {
    const { searchParams } = new URL(request.url);
    return printLabels({
      codes: (searchParams.get('codes') ?? '').split(',').filter((code) => code !== ''),
      size: searchParams.get('size') ?? 'sheet-21',
      startAt: queryNumber(searchParams, 'start', 100) ?? 1,
    });
  });
