import { printLabels } from '@/services/papers/labels';
import { queryNumber, respondPdf } from '../respond';

const codesIn = (params: URLSearchParams, name: string): string[] =>
  (params.get(name) ?? '').split(',').filter((code) => code !== '');

export const GET = (request: Request): Promise<Response> =>
  respondPdf('labels.pdf', async () => {
    const { searchParams } = new URL(request.url);
    return printLabels({
      codes: codesIn(searchParams, 'codes'),
      freezing: codesIn(searchParams, 'freezing'),
      size: searchParams.get('size') ?? 'sheet-21',
      startAt: queryNumber(searchParams, 'start', 100) ?? 1,
    });
  });
