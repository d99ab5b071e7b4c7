import { type Page } from '@playwright/test';
import { expect, test } from './page';
import { withClockedServer } from '../fixtures/clockedServer';

const DAYS = 90;
const DAY_MS = 86_400_000;

interface Watched {
  id: string;
  code: string;
  governing: string;
  /** Left alone, taken when it first asks, or answered once and then left. */
  does: 'leave' | 'take' | 'answer';
}

const dateOf = (instant: number): string => new Date(instant).toISOString().slice(0, 10);

/** The codes that Today shows as asking, all pages of the list unfolded. */
async function codesAsking(page: Page): Promise<string[]> {
  const more = page.getByRole('button', { name: /^Show more/ });
  while (await more.isVisible()) {
    const before = await page.locator('[data-codes]').count();
    await more.click();
    await expect(async () =>
      expect(await page.locator('[data-codes]').count()).toBeGreaterThan(before),
    ).toPass();
  }
  const asking = page.getByRole('list', { name: 'Asks for an answer' }).locator('[data-codes]');
  const told = await asking.evaluateAll((rows) => rows.map((row) => row.getAttribute('data-codes') ?? ''));
  return told.flatMap((codes) => codes.split(' '));
}

async function send(page: Page, base: string, body: Record<string, unknown>): Promise<void> {
  const response = await page.request.post(`${base}/api/v1/commands`, {
    data: { id: crypto.randomUUID(), ...body },
  });
  expect([response.status(), await response.text()]).toEqual([200, expect.anything()]);
}

test('over ninety days every package is seen before it passes, and exactly those left alone are counted', async ({
  page,
}) => {
  test.setTimeout(420_000);
  const begin = Math.floor(Date.now() / 1000) * 1000;
  await withClockedServer('days', new Date(begin).toISOString(), async (base, setClock) => {
    const set = (day: number): string => {
      setClock(new Date(begin + day * DAY_MS).toISOString());
      return dateOf(begin + day * DAY_MS);
    };
    const { packages } = (await (await page.request.get(`${base}/api/v1/stock?limit=500`)).json()) as {
      packages: { id: string; code: string; governing: { date: string } }[];
    };
    const today = dateOf(begin);
    const watched = packages.map(({ id, code, governing }, at): Watched => ({
      id,
      code,
      governing: governing.date,
      does: governing.date < today ? 'leave' : ((['leave', 'take', 'answer'] as const)[at % 3] ?? 'leave'),
    }));
    const seenInTime = new Set<string>();
    const done = new Set<string>();
    for (let day = 0; day <= DAYS; day++) {
      const now = set(day);
      await page.goto(base);
      await expect(page.getByRole('region', { name: 'First out' })).toBeVisible();
      const since = dateOf(begin + day * DAY_MS - 365 * DAY_MS);
      const expected = watched.filter(
        ({ does, governing }) => does === 'leave' && governing < now && governing >= since,
      ).length;
      await expect(page.locator('[data-passed]')).toHaveText(String(expected));
      const asking = new Set(await codesAsking(page));
      for (const found of watched) {
        if (!asking.has(found.code)) continue;
        if (now <= found.governing) seenInTime.add(found.code);
        if (found.does === 'leave' || done.has(found.code) || now > found.governing) continue;
        done.add(found.code);
        const { version, verdict } = await detailOf(page, base, found.code);
        const on = { package: found.id, version };
        // What stood on the counter for days is not for eating, whatever its date.
        if (verdict === 'discard')
          await send(page, base, { type: 'package.discard', ...on, reason: 'spoiled' });
        else if (found.does === 'take') await send(page, base, { type: 'package.take', ...on });
        else await send(page, base, { type: 'package.answer', ...on, answer: 'eat-tonight' });
      }
      // Nothing that is here and unanswered may be past or on its last day without standing there.
      for (const found of watched) {
        const left = found.does === 'leave' && found.governing <= now;
        if (left) expect([now, found.code, asking.has(found.code)]).toEqual([now, found.code, true]);
      }
    }
    const last = dateOf(begin + DAYS * DAY_MS);
    const near = watched.filter(({ governing }) => governing >= today && governing <= last);
    expect(near.length).toBeGreaterThan(40);
    expect(near.filter(({ code }) => !seenInTime.has(code))).toEqual([]);
  });
});

interface Detail {
  version: number;
  verdict: string;
}

async function detailOf(page: Page, base: string, code: string): Promise<Detail> {
  return (await (await page.request.get(`${base}/api/v1/packages/${code}`)).json()) as Detail;
}
