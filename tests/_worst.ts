import { get } from './fixtures/api';
import { worstRequests } from './fixtures/worstCase';
import { lookingAtToday, usualToday } from './fixtures/meanwhile';
const base = process.env.BASE_URL!;
const page = (await get('/api/v1/openapi.json', base)).body;
const foods = (await get('/api/v1/vocabulary', base)).body.foods.map((f: { id: string }) => f.id);
const stock = (await get('/api/v1/stock?limit=40', base)).body.packages;
const reqs = worstRequests(page, { foods, ids: stock.map((s: { code: string }) => s.code) });
console.log(reqs.length, 'requests', 'usual', await usualToday(base), await usualToday(base));
for (const r of reqs) {
  const { answer, ms, today } = await lookingAtToday(base, () =>
    fetch(base + r.address, { method: r.method, headers: r.headers, body: r.body ?? null }).then(
      async (x) => ({ s: x.status, t: (await x.text()).slice(0, 160) }),
    ),
  );
  if (today > 60 || ms > 1500 || answer.s >= 500 || process.env.ALL)
    console.log(
      r.method,
      r.address.slice(0, 60),
      (r.body ?? '').length,
      answer.s,
      Math.round(ms),
      'today',
      Math.round(today),
      answer.t.slice(0, 100),
    );
}
