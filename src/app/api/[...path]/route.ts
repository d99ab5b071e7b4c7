import { Problem, toProblem } from '@/services/door/problem';

function nowhere(): Response {
  const { status, body } = toProblem(
    new Problem(404, 'not-found', 'There is no such address. /api/v1/openapi.json lists them all.'),
  );
  return Response.json(body, { status, headers: { 'cache-control': 'no-store' } });
}

export { nowhere as DELETE, nowhere as GET, nowhere as PATCH, nowhere as POST, nowhere as PUT };
