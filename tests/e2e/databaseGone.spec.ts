import { expect, test } from './page';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';

test('with the database gone a page says so, and comes back by itself', async ({ page }) => {
  test.setTimeout(120_000);
  const first = await openThrowaway('gone');
  const port = await freePort();
  let server: Awaited<ReturnType<typeof serve>> | null = null;
  let second: Awaited<ReturnType<typeof openThrowaway>> | null = null;
  try {
    await prepareDatabase(first.url);
    server = await serve({ port, host: '127.0.0.1', url: first.url, quiet: true });
    await page.goto(`http://localhost:${port}/`);
    await expect(page.getByRole('region', { name: 'First out' })).toBeVisible();
    await stopPid(first.pid, 30_000);
    const health = await page.request.get(`http://localhost:${port}/api/v1/health`);
    expect(health.status()).toBe(503);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'The store cannot be reached' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'First out' })).toHaveCount(0);
    second = await openThrowaway('gone');
    expect(second.url).toBe(first.url);
    await expect(page.getByRole('region', { name: 'First out' })).toBeVisible({ timeout: 20_000 });
  } finally {
    if (server?.pid) await stopPid(server.pid);
    await (second ?? first).close();
  }
});
