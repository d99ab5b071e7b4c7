import type { ShoppingView } from '../../src/services/shopping/shopping';
import { expectAccessible, toast } from './kitchen';
import { readPages } from '../fixtures/readPages';
import { expect, test } from './page';

test('a level says what is missing, the list goes in the order of the shop, is ticked, and becomes a haul in one press', async ({
  page,
}) => {
  await page.goto('/stock/shopping');
  const what = page.getByLabel('What is to be bought');
  const list = page.getByRole('region', { name: 'The list' });
  // No food is asked twice: typed in the grammar of the line, or as plain words.
  for (const [typed, read] of [
    ['2 x 1 l milk', '2 × Milk 1 l'],
    ['6 lemons', 'Lemons 6'],
    ['dishwasher salt', 'dishwasher salt: no food of the cold store'],
  ] as const) {
    await what.fill(typed);
    await expect(list.getByText(read, { exact: true })).toBeVisible();
    await what.press('Enter');
    await expect(what).toHaveValue('');
  }
  await expect(list.getByRole('listitem')).toHaveCount(3);
  const milk = list.getByRole('listitem').filter({ hasText: 'Milk' });
  await expect(milk).toContainText(/You have \d/);

  // A level: what is here, thaws and is eaten is counted in, and what lacks goes onto the list.
  const levels = page.getByRole('region', { name: 'Runs low' });
  await levels.getByRole('combobox').selectOption('never-out');
  await levels.getByLabel('How many packs of what').fill('3 x 250 g butter');
  await expect(levels.getByText('Butter: never without 3 of 250 g')).toBeVisible();
  await levels.getByRole('button', { name: 'Keep' }).click();
  await expect(toast(page, 'never without 3 of 250 g')).toBeVisible();
  await levels.getByRole('button', { name: 'Onto the list: Butter' }).click();
  await expect(list.getByRole('listitem').filter({ hasText: 'Butter 250 g' })).toBeVisible();
  await expect(levels.getByRole('button', { name: 'Onto the list: Butter' })).toHaveCount(0);
  await levels.getByLabel('How many packs of what').fill('dishwasher salt');
  await expect(levels.getByText('Which food is that?', { exact: false })).toBeVisible();
  await expect(levels.getByRole('button', { name: 'Keep' })).toBeDisabled();

  // The shop's own order, kept.
  const names = (): Promise<string[]> => list.locator('h3').allInnerTexts();
  expect(await names()).toEqual(['Fruit', 'Dairy', 'Other than food']);
  await list.getByRole('button', { name: 'Shop order' }).click();
  const later = page.getByRole('button', { name: 'Fruit: later' });
  for (let steps = 0; steps < 12 && (await names())[0] === 'Fruit'; steps++) {
    const before = await page
      .getByRole('listitem')
      .filter({ hasText: /^\d+\. Fruit$/ })
      .innerText();
    await later.click();
    await expect(page.getByRole('listitem').filter({ hasText: /^\d+\. Fruit$/ })).not.toHaveText(before);
  }
  expect(await names()).toEqual(['Dairy', 'Fruit', 'Other than food']);
  await list.getByRole('button', { name: 'Shop order' }).click();
  await expectAccessible(page);
  const pdf = await page.request.get('/api/v1/shopping/list');
  const [paper] = await readPages(new Response(new Uint8Array(await pdf.body())));
  expect(paper?.text).toMatch(/Dairy.*2 × Milk 1 l.*Fruit.*Lemons 6.*dishwasher salt/s);

  // Ticked in the shop, on the bench in one press; what was not bought stays on the list; undone, all is as before.
  for (const name of ['Milk', 'Lemons']) {
    const box = list.getByRole('listitem').filter({ hasText: name }).getByRole('checkbox');
    await box.click();
    await expect(box).toBeChecked();
  }
  await page.getByRole('button', { name: 'To the bench: 2 ticked' }).click();
  await expect(page).toHaveURL(/\/haul$/);
  const lines = page.getByRole('region', { name: 'Lines' });
  await expect(lines.getByRole('button', { name: /^Milk/ })).toContainText('2 l');
  await expect(lines.getByRole('button', { name: /^Lemon/ })).toContainText('6');
  const { lines: left } = (await (await page.request.get('/api/v1/shopping')).json()) as ShoppingView;
  expect(left.map(({ line }) => line.called)).toEqual(['Butter', 'dishwasher salt']);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: 'Begin the haul' })).toBeVisible();
  await page.goto('/stock/shopping');
  await expect(list.getByRole('listitem')).toHaveCount(4);
});
