import { expect, test } from './page';
import { toast } from './kitchen';

test('find, by one key on any screen: where, how many, how old, which first; what is gone is brought back', async ({
  page,
}) => {
  await page.goto('/outage');
  await expect(async () => {
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // Typed on without waiting: no key is lost, none is a shortcut.
  await page.keyboard.press('f');
  await page.keyboard.type('where is the troutt');
  const panel = page.getByRole('dialog', { name: 'Find' });
  const field = panel.getByRole('searchbox');
  await expect(field).toHaveValue('where is the troutt');
  await expect(page).toHaveURL(/\/outage$/);
  await expect(
    panel.getByText(/^\d+ packs, .* in \d places; the oldest from .*First: [A-Z]{2}\d\d, /),
  ).toBeVisible();
  await expect(panel.getByRole('button', { name: 'Without: trout' })).toContainText('you mean');
  await expect(panel.getByRole('img', { name: /Boat-shed chest: Layer 1: \d/ })).toBeVisible();

  await field.fill('mince');
  await expect(panel.getByRole('listitem').filter({ hasText: 'Mutton mince' }).first()).toBeVisible();
  await expect(panel.getByRole('listitem').filter({ hasNotText: /mince/i })).toHaveCount(0);
  await field.fill('xylophone');
  await expect(panel.getByText('“xylophone” means nothing here')).toBeVisible();
  await expect(panel.getByText('There is none of it here.')).toBeVisible();

  // The oldest is taken from here; gone, it stands below, and comes back by one press.
  await field.fill('damsons');
  await expect(panel.getByText(/^\d+ packs?/)).toBeVisible();
  const packs = async (): Promise<number> =>
    Number(/^(\d+) pack/.exec(await panel.getByText(/^\d+ packs?, /).innerText())?.[1]);
  const before = await packs();
  await panel.getByRole('button', { name: /^Take Damsons/ }).click();
  await expect.poll(packs).toBe(before - 1);
  await panel.getByRole('button', { name: /^Damsons .* never left: undo/ }).click();
  await expect(toast(page, 'Undone')).toBeVisible();
  await expect.poll(packs).toBe(before);
  await panel.getByRole('link', { name: /Show it in Stock/ }).click();
  await expect(page).toHaveURL(/\/stock\?q=damsons/);
  await expect(page.getByRole('button', { name: 'Without: damson' })).toBeVisible();
});
