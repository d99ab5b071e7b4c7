import { expect, test } from './page';
import { expectAccessible, toast, typeLine } from './kitchen';

test('answers by keyboard: arrows along first out, one letter an answer, undo by key', async ({ page }) => {
  await page.goto('/');
  const asking = page.getByRole('list', { name: 'Asks for an answer' });
  await expect(async () => {
    await page.locator('body').press('ArrowDown');
    await expect(asking.getByRole('button', { name: /Answer\.$/ }).first()).toBeFocused({ timeout: 500 });
  }).toPass();
  const mussels = asking.getByRole('button', { name: /^Mussels, 1 kg, Lower shelf, Larder fridge, use by/ });
  for (let presses = 0; presses < 30; presses++) {
    if (await mussels.evaluate((element) => element === document.activeElement)) break;
    await page.keyboard.press('ArrowDown');
  }
  await expect(mussels).toBeFocused();
  await page.keyboard.press('e');
  await expect(toast(page, /Mussels \w+: to be eaten tonight/)).toBeVisible();
  await expect(mussels).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'To be eaten' })).toContainText('to be eaten tonight');
  await page.keyboard.press('u');
  await expect(mussels).toBeVisible();
});

test('a chosen row lights its zone with a line, tells why freezing is refused, plans and cooks', async ({
  page,
}) => {
  await page.goto('/');
  const asking = page.getByRole('list', { name: 'Asks for an answer' });
  const chowder = asking.getByRole('button', { name: /^(Smoked haddock )?Chowder/i });
  await chowder.click();
  await expect(page.locator('[data-zone-drawn][data-lit=true]')).toHaveAccessibleName(/^Top shelf/);
  await expect(page.locator('[data-leader]')).toBeVisible();
  await expectAccessible(page);
  const answers = page.getByRole('group', { name: /^Answer for/ });
  await answers.getByRole('button', { name: /^Looked, fine/ }).click();
  await expect(page.getByText('A use by is a safety date')).toBeVisible();
  await answers.getByRole('button', { name: /^Plan/ }).click();
  await page.getByRole('group', { name: 'For which day?' }).getByRole('button').first().click();
  // Both of them at once; one undo brings both back.
  await expect(toast(page, /planned for .*planned for/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  const mussels = asking.getByRole('button', { name: /^Mussels/ });
  await mussels.click();
  await answers.getByRole('button', { name: /^Freeze/ }).click();
  await expect(page.getByText(/does not freeze well/)).toBeVisible();
  await answers.getByRole('button', { name: /^Cook/ }).click();
  await page.getByLabel(/Or what Mussels became/).fill('stew 900 g > top shelf');
  await expect(page.getByText(/one package of 900 g, use by/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the dish' }).click();
  await expect(toast(page, 'Cooked Mussels 1 kg. It became 900 g of Stew.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  // The row may still be there from before: what counts is what is stored.
  await expect
    .poll(async () => (await (await page.request.get('/api/v1/stock?q=mussels')).json()).packages.length)
    .toBe(1);
  await expect(mussels).toBeVisible();
});

test('what if: a slider through the choices, the same in a table', async ({ page }) => {
  const { packages } = await (await page.request.get('/api/v1/stock?q=smoked+haddock')).json();
  await page.goto(`/p/${packages[0].code}`);
  await page.getByText('What if', { exact: true }).click();
  const slider = page.getByRole('slider', { name: 'Slide through what you might do' });
  await expect(slider).toHaveAttribute('aria-valuetext', /^Leave it: use by/);
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(slider).toHaveAttribute('aria-valuetext', /^Freeze it now: best by/);
  await expect(page.locator('.js-plotly-plot .bars .point').first()).toBeVisible();
  await page.getByText('As a table').click();
  await expect(page.getByRole('row', { name: /^Cook it/ })).toContainText('use by');
  await expectAccessible(page);
});

test('takes an amount by the quick line, first out, with the reason for what is passed over', async ({
  page,
}) => {
  await page.goto('/');
  const reading = page.locator('#quick-reading');
  await typeLine(page, 'take 700 g haddock');
  await expect(reading).toContainText(/from \d packages|from one package/);
  await typeLine(page, 'take 90 kg haddock');
  await expect(reading).toContainText('short');
  await page.keyboard.press('Enter');
  await typeLine(page, 'take 500 g hadock');
  await expect(reading).toContainText('first out');
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Took Haddock')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(toast(page, 'Undone')).toBeVisible();
});

test('foods: search forgives spelling, a wish that loosens is refused, a near food is copied', async ({
  page,
}) => {
  await page.goto('/kitchen');
  await page.getByRole('link', { name: 'Foods', exact: true }).click();
  await page.getByRole('searchbox').fill('hadock');
  await expect(page.getByRole('status').filter({ hasText: 'nearest names' })).toBeVisible();
  await page.getByRole('link', { name: /^Smoked haddock/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Smoked haddock');
  for (const fact of ['In the fridge', 'Freezing', 'Best place', 'Signs of spoilage', 'Source']) {
    await expect(page.getByText(fact, { exact: true })).toBeVisible();
  }
  await page.getByLabel('Days in the fridge').fill('40');
  await page.getByRole('button', { name: 'Save wishes' }).click();
  await expect(page.getByText(/safety figure .* never longer/)).toBeVisible();
  await page.getByLabel('Days in the fridge').fill('1');
  await page.getByRole('button', { name: 'Save wishes' }).click();
  await expect(toast(page, /your household wishes 1 day in the fridge/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the reference' }).click();
  await expect(toast(page, /back to the reference/)).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Skerry finnan');
  await page.getByRole('button', { name: 'Add this food' }).click();
  await expect(page.getByRole('link', { name: /^Skerry finnan/ })).toContainText('our own');
  await page.getByRole('link', { name: /^Skerry finnan/ }).click();
  await page.getByRole('button', { name: 'Take Skerry finnan off the list' }).click();
  await expect(page.getByText('off the list').first()).toBeVisible();
});

test('the scope switch shows one room or one appliance, and a job is ticked off', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Look at').first().selectOption({ label: 'Boat-shed chest' });
  await expect(page).toHaveURL(/scope=appliance/);
  await expect(page.getByRole('article', { name: 'Larder fridge' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'First out' })).not.toContainText('Mussels');
  await page.getByLabel('Look at').first().selectOption('');
  await page.getByRole('button', { name: 'Done: Look through the larder fridge' }).first().click();
  await expect(toast(page, 'Done: Look through the larder fridge.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('button', { name: 'Done: Look through the larder fridge' }).first(),
  ).toBeVisible();
});

test('household: lead days are checked while one types; the calendar address is shown and renewed', async ({
  page,
}) => {
  await page.goto('/kitchen/household');
  const address = page.getByRole('textbox', { name: /Calendar address/ });
  const before = await address.inputValue();
  expect(before).toMatch(/calendar\.ics\?key=[\w-]{43}$/);
  await page.getByLabel('Days ahead, chilled').fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'from 1 to 60' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.getByRole('button', { name: 'New address' }).click();
  await page.getByRole('button', { name: 'Yes, shut the old address' }).click();
  await expect(address).not.toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(address).toHaveValue(before);
});
