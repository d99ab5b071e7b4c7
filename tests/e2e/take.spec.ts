import { expectAccessible, toast } from './kitchen';
import { expect, test } from './page';

test('help yourself: who it is, one tap takes, hands off is shown apart; lunches are packed as one and undone as one', async ({
  page,
}) => {
  const read = async (): Promise<{ id: string; version: number; food: { name: string }; amount: number }[]> =>
    (await (await page.request.get('/api/v1/stock?limit=500')).json()).packages;
  const quark = (await read()).find(({ food }) => food.name === 'Quark');
  const kept = crypto.randomUUID();
  await page.request.post('/api/v1/commands', {
    data: {
      ...{ id: kept, type: 'package.keep-for', package: quark?.id, version: quark?.version },
      ...{ whose: 'Wren', on: null, handsOff: true },
    },
  });
  await page.goto('/stock/take');
  await page.getByRole('button', { name: 'Tam', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Tam', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('region', { name: 'Hands off' })).toContainText('Quark');
  const ready = page.getByRole('region', { name: /^For anybody/ });
  await expect(ready.getByRole('button', { name: /^Take Quark/ })).toHaveCount(0);
  // Nothing raw, nothing frozen.
  await expect(ready.getByRole('button', { name: /Mussels|Venison|Haddock/ })).toHaveCount(0);
  await expectAccessible(page);
  await ready.getByRole('button', { name: /^Take Risotto/ }).click();
  await expect(toast(page, 'Took Risotto')).toBeVisible();
  await expect(ready.getByRole('button', { name: /^Take Risotto/ })).toHaveCount(0);
  const ledger = (await (await page.request.get('/api/v1/ledger?limit=1')).json()) as {
    entries: { told_by: string }[];
  };
  expect(ledger.entries[0]?.told_by).toBe('Tam');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(ready.getByRole('button', { name: /^Take Risotto/ })).toBeVisible();

  const before = (await read()).map(({ id, amount }) => `${id} ${amount}`);
  await page.getByRole('button', { name: 'Pack lunches' }).click();
  const box = page.getByRole('region', { name: /^Lunches/ });
  await box.getByRole('button', { name: 'Gran Morag', exact: true }).click();
  const fruit = box.getByRole('button', { name: /^Fruit for Isla: / });
  const first = await fruit.getAttribute('aria-label');
  await box.getByRole('button', { name: 'Another fruit for Isla' }).click();
  await expect(fruit).not.toHaveAttribute('aria-label', first ?? '');
  // Wren’s own goes to Wren.
  await expect(box.getByRole('button', { name: /^Dairy for Isla: / })).not.toHaveAttribute(
    'aria-label',
    /Quark/,
  );
  await box.getByRole('button', { name: /^Packed: \d+ things/ }).click();
  await expect(toast(page, /Took/).last()).toBeVisible();
  await expect
    .poll(async () => (await read()).map(({ id, amount }) => `${id} ${amount}`))
    .not.toEqual(before);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect
    .poll(async () => (await read()).map(({ id, amount }) => `${id} ${amount}`).sort())
    .toEqual([...before].sort());
  // As it was found, for whoever comes after.
  const undone = await page.request.post('/api/v1/commands', {
    data: { id: crypto.randomUUID(), type: 'ledger.undo', command: kept },
  });
  expect(undone.status(), await undone.text()).toBe(200);
  expect((await page.request.post('/api/v1/households/person', { data: { name: '' } })).status()).toBe(200);
});

test('a nameless lump: said what can be seen, ranked with reasons, it becomes the one it is, and all is undone as one', async ({
  page,
}) => {
  await page.goto('/stock/lump');
  await expect(page.getByText('Say one thing on the left')).toBeVisible();
  await page.getByLabel('Is it in the books without a name?').selectOption({ index: 1 });
  const offers = page.getByRole('region', { name: 'What it may be' });
  await expect(offers.getByRole('listitem').first()).toBeVisible();
  await page.getByRole('group', { name: 'What colour?' }).getByRole('button', { name: 'red' }).click();
  await page.getByLabel('or its weight').fill('500 g');
  await page.getByLabel('Where does it lie?').selectOption({ label: 'Layer 1, Boat-shed chest' });
  await page.getByLabel('Since about when?').fill('next week');
  await expect(page.getByText('That is no age', { exact: false })).toBeVisible();
  await page.getByLabel('Since about when?').fill('2 months');
  const first = offers.getByRole('listitem').first();
  await expect(first).toContainText('Mutton mince 500 g');
  await expect(first).toContainText('fits the size');
  await expect(first).toContainText('it should lie in Layer 1');
  await expectAccessible(page);
  const nameless = async (): Promise<number> =>
    (await (await page.request.get('/api/v1/stock?q=nameless')).json()).packages.length;
  expect(await nameless()).toBe(1);
  await first.getByRole('button', { name: /^It is Mutton mince/ }).click();
  await expect(toast(page, /Mutton mince/).last()).toBeVisible();
  expect(await nameless()).toBe(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(nameless).toBe(1);
});
