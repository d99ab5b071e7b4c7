import { readCalendarFeed } from '@/services/papers/calendarFeed';
import { toProblem } from '@/services/door/problem';

/** The household's heads-ups for a calendar program; the key in the address lets it in. */
export async function GET(request: Request): Promise<Response> {
  try {
    const feed = await readCalendarFeed(new URL(request.url).searchParams.get('key') ?? '');
    return new Response(feed, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'inline; filename="calendar.ics"',
        'cache-control': 'private, no-store',
      },
    });
  } catch (error) {
    const { status, body } = toProblem(error);
    return new Response(body.error.message, {
      status,
      headers: { 'content-type': 'text/plain; charset=utf-8' },
    });
  }
}
