import { type Browser, expect, type Page, test } from '@playwright/test';
import { labelMark } from '../../src/services/keys/secrets';
import { keyedServer, type KeyedServer } from '../fixtures/keyedServer';
import { expectAccessible } from './kitchen';

let server: KeyedServer;
test.beforeAll(async () => {
  test.setTimeout(240_000);
  server = await keyedServer('keys-e2e');
});
test.afterAll(() => server.stop());

/** A device that nobody used yet. */
async function device(browser: Browser, width = 1280): Promise<Page> {
  const context = await browser.newContext({
    baseURL: server.base,
    viewport: { width, height: width < 500 ? 844 : 800 },
    serviceWorkers: 'block',
  });
  return context.newPage();
}

async function comesIn(page: Page, code: string, name: string, password = ''): Promise<void> {
  await page.goto(`/join#${code}`);
  await expect(page.getByLabel('Code', { exact: true })).toHaveValue(code);
  expect(new URL(page.url()).hash).toBe('');
  await page.getByLabel('What are you called?').fill(name);
  await page.getByLabel('A password, as the way back in').fill(password);
  await page.getByRole('button', { name: 'Come in' }).click();
}

async function code(page: Page, role: string): Promise<string> {
  await page.goto('/kitchen/keys');
  await page.getByRole('radio', { name: role }).check();
  await page.getByRole('button', { name: 'Show a code' }).click();
  const told = page.getByText(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
  await expect(told).toBeVisible();
  return told.innerText();
}

test('two households on one server: set up, invited by code on other devices, each role as it may', async ({
  browser,
}) => {
  test.setTimeout(300_000);
  const maren = await device(browser);
  await maren.goto('/stock');
  await expect(maren.getByRole('heading', { name: 'This kitchen asks for a key' })).toBeVisible();
  await expectAccessible(maren);
  await comesIn(maren, server.setUpCode(), 'Maren', 'fridge1');
  await expect(maren.getByRole('alert').filter({ hasText: 'at least 12' })).toBeVisible();
  await maren.getByLabel('A password, as the way back in').fill('lamp herring oxide mitten');
  await maren.getByRole('button', { name: 'Come in' }).click();
  await maren.getByRole('button', { name: 'Look around', exact: true }).click();
  await expect(maren.getByRole('link', { name: 'Household Skerry Row, Maren' })).toBeVisible();

  // A second household, and somebody who cooks there only, on a device of her own.
  await maren.goto('/start/own');
  await maren.getByLabel('What is your household called?').fill('Quay Cottage');
  await maren.getByRole('button', { name: 'Move in' }).click();
  await expect(maren).toHaveURL(/move-in/);
  const tove = await device(browser);
  await comesIn(tove, await code(maren, 'Cook'), 'Tove');
  await expect(tove.getByRole('link', { name: 'Household Quay Cottage, Tove' })).toBeVisible();
  await tove.goto('/start');
  await expect(tove.getByRole('button', { name: 'Quay Cottage' })).toBeVisible();
  await expect(tove.getByText('Skerry Row')).toHaveCount(0);

  await maren.goto('/start');
  await maren.getByRole('button', { name: 'Look around', exact: true }).click();
  await expect(maren.getByRole('link', { name: 'Household Skerry Row, Maren' })).toBeVisible();
  const [forGuest, forReader] = [await code(maren, 'Guest'), await code(maren, 'Reader')];
  await expectAccessible(maren);

  const guest = await device(browser, 390);
  await comesIn(guest, forGuest, 'Odd');
  await expect(guest.getByRole('heading', { name: 'Help yourself at Skerry Row' })).toBeVisible();
  await expectAccessible(guest);
  await guest
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(guest.getByRole('status')).toContainText('Took');
  await guest.getByRole('button', { name: 'Put it back' }).click();
  await expect(guest.getByRole('status')).toContainText('Undone');
  await guest.goto('/stock');
  await expect(guest).toHaveURL(/\/guest$/);
  // What a cook takes meanwhile goes from the table by itself.
  const table = guest.getByRole('list');
  const offered = await table.innerText();
  const { ready } = (await (await guest.request.get('/api/v1/guest')).json()) as {
    ready: [{ id: string; version: number }];
  };
  const data = { type: 'package.take', package: ready[0].id, version: ready[0].version };
  const taken = await maren.request.post('/api/v1/commands', { data: { id: crypto.randomUUID(), ...data } });
  expect([taken.status(), await taken.text()]).toEqual([200, expect.anything()]);
  await expect.poll(() => table.innerText(), { timeout: 60_000 }).not.toBe(offered);

  const { packages } = (await (await maren.request.get('/api/v1/stock?limit=1')).json()) as {
    packages: [{ code: string }];
  };
  const packageCode = packages[0].code;
  const reader = await device(browser);
  await comesIn(reader, forReader, 'Lise');
  await expect(reader.getByText('You look only')).toBeVisible();
  // What she may not press is not shown: no line to type in, no verb on a package, no bench.
  await expect(reader.getByRole('textbox', { name: /^Quick line/ })).toHaveCount(0);
  await reader.goto(`/p/${packageCode}`);
  await expect(reader.getByRole('article')).toBeVisible();
  await expect(reader.getByRole('button', { name: 'Take all' })).toHaveCount(0);
  await reader.goto('/haul');
  await expect(reader.getByText('Only a cook can do that. Ask Maren')).toBeVisible();
  await reader.goto('/stock/take');
  await expect(reader.getByText('Only a cook can do that. Ask Maren')).toBeVisible();

  // Her device is put out: the page that is open there asks for a key by itself, and so does the next one; each leads back.
  await maren.reload();
  await expect(maren.getByRole('region', { name: 'Odd', exact: true })).toBeVisible();
  await maren.getByRole('button', { name: /^Put out .* of Lise$/ }).click();
  await expect(maren.getByText('is signed out')).toBeVisible();
  await expect(maren.getByRole('button', { name: /^Put out .* of Lise$/ })).toHaveCount(0);
  await expect(reader).toHaveURL(/sign-in\?to=%2Fstock%2Ftake/);
  await reader.goto('/meals');
  await expect(reader).toHaveURL(/sign-in\?to=%2Fmeals/);

  // Out, and back in by name and password.
  await maren.getByRole('button', { name: 'Sign out here' }).click();
  await expect(maren).toHaveURL(/sign-in/);
  await maren.goto('/ledger');
  await maren.getByLabel('Your name').fill('maren');
  await maren.getByLabel('Password').fill('not this one');
  await maren.getByRole('button', { name: 'Open' }).click();
  await expect(maren.getByRole('alert').filter({ hasText: 'belong together' })).toBeVisible();
  await maren.getByLabel('Password').fill('lamp herring oxide mitten');
  await maren.getByRole('button', { name: 'Open' }).click();
  await expect(maren).toHaveURL(/\/ledger$/);
  await expect(maren.getByText('Odd').first()).toBeVisible();
});

test('a label scanned by who is no member tells that label; a new key for labels shuts it', async ({
  browser,
}) => {
  const cook = await device(browser);
  await comesIn(cook, server.setUpCode(), 'Signe', 'seven kelp doors');
  await cook.waitForURL(({ pathname }) => pathname !== '/join');
  await cook.goto('/start');
  await cook.getByRole('button', { name: 'Look around', exact: true }).click();
  await cook.waitForURL('/');
  const { packages } = (await (await cook.request.get('/api/v1/stock?limit=2')).json()) as {
    packages: { code: string }[];
  };
  const at = packages[0]?.code ?? '';
  await cook.request.get(`/api/v1/labels?codes=${at}&size=roll-57&start=1`);
  const key = await labelKeyOf(at);
  const other = packages[1]?.code ?? '';
  const stranger = await device(browser, 390);
  await stranger.goto(`/p/${at}?g=${key}`);
  await expect(stranger).toHaveURL(new RegExp(`/label/${at}\\?g=`));
  await expect(stranger.getByRole('region', { name: `Label ${at}` })).toBeVisible();
  await expect(stranger.getByRole('button')).toHaveCount(0);
  await expectAccessible(stranger);
  // The key of one label opens no other one.
  await stranger.goto(`/p/${other}?g=${key}`);
  await expect(stranger.getByRole('heading', { name: 'Nothing is behind this code' })).toBeVisible();
  await stranger.goto(`/p/${at}?g=${key}`);
  await expect(stranger.getByRole('region', { name: `Label ${at}` })).toBeVisible();
  await cook.goto('/kitchen/keys');
  await cook.getByRole('button', { name: 'New key for labels' }).click();
  await expect(cook.getByText('open for members only')).toBeVisible();
  await stranger.reload();
  await expect(stranger.getByRole('heading', { name: 'Nothing is behind this code' })).toBeVisible();
  await cook.goto(`/p/${at}?g=${key}`);
  await expect(cook.getByRole('article')).toBeVisible();
});

/** The key that stands on a label of the demo. */
async function labelKeyOf(code: string): Promise<string> {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection({ uri: server.database });
  const [rows] = await db.query("SELECT id, guest_key FROM household WHERE demo AND guest_key <> ''");
  await db.end();
  const [{ id, guest_key } = { id: 0, guest_key: '' }] = rows as { id: number; guest_key: string }[];
  return `${id.toString(36)}-${labelMark(guest_key, code)}`;
}
