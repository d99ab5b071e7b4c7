import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { homeCertificate } from '../../scripts/homeCertificate.mjs';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';

test('the home address: the household’s own certificate, trusted once, and the pages work without a network', async () => {
  test.setTimeout(240_000);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'home-'));
  const database = await openThrowaway('home');
  let pid: number | undefined;
  const files = await homeCertificate(folder, ['192.168.1.20']);
  const pem = readFileSync(files.cert);
  expect((await homeCertificate(folder, ['192.168.1.20'])).cert).toBe(files.cert);
  expect(readFileSync(files.cert)).toEqual(pem);
  const certificate = new X509Certificate(pem);
  expect([certificate.checkIP('192.168.1.20'), certificate.checkHost('localhost')]).toEqual([
    '192.168.1.20',
    'localhost',
  ]);
  // Another address of this machine, another certificate.
  await homeCertificate(folder, ['192.168.1.21']);
  expect(readFileSync(files.cert)).not.toEqual(pem);
  const trusted = new X509Certificate(readFileSync(files.cert)).publicKey.export({
    type: 'spki',
    format: 'der',
  });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      // As a phone does once it trusts it.
      `--ignore-certificate-errors-spki-list=${createHash('sha256').update(trusted).digest('base64')}`,
    ],
  });
  try {
    await prepareDatabase(database.url);
    const port = await freePort();
    const env = { TLS_CERT: files.cert, TLS_KEY: files.key, PUBLIC_URL: `https://localhost:${port}` };
    pid = (await serve({ port, host: '127.0.0.1', url: database.url, env, quiet: true })).pid;
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'allow',
    });
    const page = await context.newPage();
    const base = `https://localhost:${port}`;
    await page.goto(`${base}/outage`);
    expect(await page.evaluate(() => window.isSecureContext)).toBe(true);
    const told = await page.evaluate(async () => {
      const answer = await fetch('/home-certificate.crt');
      return [answer.headers.get('content-type'), await answer.text()];
    });
    expect(told).toEqual(['application/x-x509-ca-cert', readFileSync(files.cert, 'utf8')]);
    await expect
      .poll(
        () =>
          page.evaluate(async () =>
            (await caches.open('orderly-frost-pages')).match('/outage').then(Boolean),
          ),
        { timeout: 60_000 },
      )
      .toBe(true);
    await context.setOffline(true);
    await page.goto(`${base}/outage`);
    await expect(page.getByRole('heading', { name: 'Is the power off?' })).toBeVisible();
    // Another household is chosen: what was kept of the one before is shown to nobody, with a network or without.
    await context.setOffline(false);
    const saltmarsh = { name: 'Saltmarsh', time_zone: 'Europe/Dublin', currency: 'EUR' };
    await page.goto(`${base}/stock`);
    await page.evaluate(async (words) => {
      const send = (address: string, body: object) =>
        fetch(`/api/v1/households/${address}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        }).then((answer) => answer.json() as Promise<{ id: number }>);
      const { id } = await send('add', words);
      await send('choose', { id });
    }, saltmarsh);
    await page.goto(`${base}/stock`);
    await expect(page.getByRole('link', { name: /^Household Saltmarsh/ })).toBeVisible();
    await context.setOffline(true);
    for (const at of ['/outage', '/stock', '/']) {
      await page.goto(`${base}${at}`).catch(() => undefined);
      await expect(page.getByRole('link', { name: /^Household Skerry Row/ })).toHaveCount(0);
    }
    await context.close();
  } finally {
    await browser.close();
    if (pid) await stopPid(pid);
    await database.close();
    rmSync(folder, { recursive: true });
  }
});
