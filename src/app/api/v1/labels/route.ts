import { printLabels } from '@/services/labels';
import { toProblem } from '@/services/problem';
import { queryNumber } from '../respond';

export async function GET(request: Request): Promise<Response> {
  try {
    const { searchParams } = new URL(request.url);
    const pdf = await printLabels({
      codes: (searchParams.get('codes') ?? '').split(',').filter((code) => code !== ''),
      size: searchParams.get('size') ?? 'sheet-21',
      startAt: queryNumber(searchParams, 'start', 100) ?? 1,
    });
    return new Response(new Uint8Array(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': 'inline; filename="labels.pdf"',
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    const { status, body } = toProblem(error);
    return Response.json(body, { status });
  }
}
