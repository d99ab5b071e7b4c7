import type { Page } from '@playwright/test';
import type { MealsView } from '../../src/services/meals/week';
import type { TodayView } from '../../src/services/today/today';
import { expectAccessible, latest, toast, undoSince } from './kitchen';
import { expect, test } from './page';

interface Told {
  code: string;
  state: string;
  amount: number;
  story: string;
  food: { name: string };
}

let found = '';
test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(60_000);
  found = await latest(page);
});
test.afterEach(({ page }) => undoSince(page, found));

const week = async (page: Page): Promise<MealsView> =>
  (await (await page.request.get('/api/v1/meals')).json()) as MealsView;
const stock = async (page: Page, q: string): Promise<Told[]> =>
  (
    (await (await page.request.get(`/api/v1/stock?limit=500&q=${encodeURIComponent(q)}`)).json()) as {
      packages: Told[];
    }
  ).packages;
const today = async (page: Page): Promise<TodayView> =>
  (await (await page.request.get('/api/v1/today')).json()) as TodayView;
/** What the calendar says is to be moved down to thaw. */
const thawsInCalendar = async (page: Page): Promise<number> => {
  const settings = await (await page.request.get('/kitchen/household')).text();
  const key = /calendar\.ics\?key=([\w-]+)/.exec(settings)?.[1] ?? '';
  const feed = (await (await page.request.get(`/calendar.ics?key=${key}`)).text()).replaceAll('\r\n ', '');
  return feed.split('to be moved down to thaw').length - 1;
};
const shopping = async (page: Page): Promise<string> => (await page.request.get('/api/v1/shopping')).text();
const place = (page: Page, day: string, slot: string) =>
  page.getByRole('group', { name: `${day}, ${slot}`, exact: true });

/** Plans a meal as a cook does: opens the place, types what it takes, keeps it. */
async function plan(
  page: Page,
  day: string,
  slot: string,
  takes: string[],
  more: { name?: string; buy?: string } = {},
) {
  await place(page, day, slot)
    .getByRole('button', { name: /^Plan / })
    .click();
  const sheet = page.getByRole('dialog');
  if (more.name) await sheet.getByLabel('Called').fill(more.name);
  for (const words of takes) {
    await sheet.getByLabel(/^Add, for example/).fill(words);
    await expect(sheet.getByRole('button', { name: /^Add / })).toBeVisible();
    await sheet.getByLabel(/^Add, for example/).press('Enter');
    await expect(sheet.getByLabel(/^Add, for example/)).toHaveValue('');
  }
  if (more.buy) await sheet.getByLabel(/^To buy/).fill(more.buy);
  await sheet.getByRole('button', { name: 'Plan it' }).click();
  await expect(sheet).toHaveCount(0);
}

test('a week is planned by keys and by dragging; what it takes is promised, thaws in time, is eaten or skipped, and each is undone', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/meals');
  await expect(page.getByRole('heading', { name: 'What must thaw' })).toBeVisible();
  await expectAccessible(page);
  const { days } = await week(page);
  const [first, , third, fourth] = days.map(({ words }) => words);
  if (!first || !third || !fourth) throw new Error('a week has seven days');

  const inCalendar = await thawsInCalendar(page);
  // Planned: promised everywhere, on the shopping list, and told when to move it down.
  await plan(page, third, 'Dinner', ['stew 600 g', 'frozen peas 200 g'], {
    name: 'Shepherd’s pie',
    buy: 'Potatoes, thyme',
  });
  const pie = place(page, third, 'Dinner').getByRole('article', { name: 'Shepherd’s pie' });
  await expect(pie).toContainText('Stew 600 g · frozen');
  await expectAccessible(page);
  const promised = (await stock(page, 'stew')).filter(({ story }) =>
    story.includes('promised to Shepherd’s pie'),
  );
  expect(promised).toHaveLength(1);
  expect(await shopping(page)).toContain('Potatoes');
  await expect(page.getByRole('region', { name: 'What must thaw' })).toContainText(
    /Stew 600 g .*Move it down by/s,
  );
  expect(await thawsInCalendar(page)).toBeGreaterThan(inCalendar);
  const [its] = (await week(page)).meals.flatMap(({ takes }) => takes);
  const take = { type: 'package.take', package: its?.package, version: its?.view?.version };
  const taken = await page.request.post('/api/v1/commands', { data: { id: crypto.randomUUID(), ...take } });
  expect([taken.status(), await taken.text()]).toEqual([
    422,
    expect.stringContaining('promised to Shepherd'),
  ]);

  // Moved by keys to the day after, dragged by the mouse to the lunch of that day.
  await pie.getByRole('button', { name: /^Move Shepherd/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/Shepherd’s pie is (picked up|over)/)).toBeAttached();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(`Shepherd’s pie is over ${fourth}, dinner.`)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(place(page, fourth, 'Dinner').getByRole('article', { name: 'Shepherd’s pie' })).toBeVisible();
  const handle = place(page, fourth, 'Dinner').getByRole('button', { name: /^Move Shepherd/ });
  await handle.hover();
  await page.mouse.down();
  const there = await place(page, fourth, 'Lunch').boundingBox();
  await page.mouse.move((there?.x ?? 0) + 80, (there?.y ?? 0) + 40, { steps: 12 });
  await expect(page.getByText(`Shepherd’s pie is over ${fourth}, lunch.`)).toBeAttached();
  await page.mouse.up();
  await expect(place(page, fourth, 'Lunch').getByRole('article', { name: 'Shepherd’s pie' })).toBeVisible();
  expect((await week(page)).meals.find(({ name }) => name === 'Shepherd’s pie')).toMatchObject({
    ...{ on: days[3]?.on, slot: 'lunch' },
  });
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(place(page, fourth, 'Dinner').getByRole('article', { name: 'Shepherd’s pie' })).toBeVisible();

  // Two thaws begun in a tap; the stock knows, Today asks for what is near.
  await plan(page, third, 'Dinner', ['stew 1200 g']);
  const job = async () =>
    (await today(page)).jobs.filter(({ short }) => short.includes('down to thaw')).length;
  expect(await job()).toBeGreaterThan(0);
  const thaw = page.getByRole('region', { name: 'What must thaw' });
  const stews = thaw
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Stew (\d+ × )?600 g/ }) });
  await expect(stews).toHaveCount(2);
  await stews
    .filter({ hasText: 'Stew 2 × 600 g' })
    .getByRole('button', { name: /^Moved down to/ })
    .click();
  await expect(stews).toHaveCount(1);
  const lying = thaw.getByRole('list', { name: 'Thawing now' });
  await expect(lying.getByRole('listitem')).toHaveCount(2);
  await lying
    .getByRole('button', { name: /is still hard in the middle$/ })
    .first()
    .click();
  await expect(lying).toContainText('cold water');
  const thawing = (await stock(page, 'stew')).filter(
    ({ state, story }) => state === 'thawing' && story.includes('promised'),
  );
  expect(thawing).toHaveLength(2);

  const begun = await thawsInCalendar(page);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(stews).toHaveCount(2);
  expect(await thawsInCalendar(page)).toBeGreaterThan(begun);

  // A double batch: eaten, the rest put by with today's clock.
  await plan(page, first, 'Dinner', ['chowder 600 ml'], { name: 'Chowder twice' });
  await place(page, first, 'Dinner').getByRole('button', { name: 'Chowder twice', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Eaten' }).click();
  const eat = page.getByRole('dialog');
  await eat.getByLabel(/^Put by of it/).fill('chowder 1.2 l / 2 > top shelf');
  await eat.getByRole('button', { name: 'Eaten, 2 put by' }).click();
  await expect(toast(page, /Chowder twice eaten by .*2 put by/)).toBeVisible();
  expect(await stock(page, 'chowder')).toHaveLength(3);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(async () => (await stock(page, 'chowder')).length).toBe(2);

  // Skipped: what it had is everybody's, what was only wanted for it comes off the list.
  await place(page, fourth, 'Dinner').getByRole('button', { name: 'Shepherd’s pie', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Skip it' }).click();
  await expect(place(page, fourth, 'Dinner')).toContainText('skipped');
  expect((await stock(page, 'stew')).some(({ story }) => story.includes('promised to Shepherd'))).toBe(false);
  expect(await shopping(page)).not.toContain('Potatoes');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(place(page, fourth, 'Dinner').getByRole('article', { name: 'Shepherd’s pie' })).toBeVisible();
  expect(await shopping(page)).toContain('Potatoes');
});

test('a week is suggested as the household eats, refused in part, taken; the line promises for a day to come', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto('/meals');
  await page.getByRole('button', { name: 'How we eat' }).click();
  const how = page.getByRole('dialog');
  await how.getByRole('button', { name: 'Another habit' }).click();
  // A day whose dinner is still to come, whatever o’clock it is.
  const fishDay = (await week(page)).days[3];
  const weekday = new Date(`${fishDay?.on}T12:00:00Z`).getUTCDay();
  await how.getByRole('combobox', { name: /^on/ }).last().selectOption(String(weekday));
  await expectAccessible(page);
  await how.getByRole('button', { name: 'Keep' }).click();
  await expect(how).toHaveCount(0);
  await page.getByRole('button', { name: 'Suggest the week' }).click();
  await expect(page.getByText(/^These meals use .* kg that would not last the week/)).toBeVisible({
    timeout: 60_000,
  });
  await expectAccessible(page);
  await expect(place(page, fishDay?.words ?? '', 'Dinner').getByRole('article')).toContainText(
    /haddock|trout|mussels|cod|chowder|mackerel|salmon|fish/i,
  );
  const offers = page.getByRole('article', { name: /^Suggested: / });
  const many = await offers.count();
  const [name = ''] = (await offers.first().getByRole('listitem').first().innerText()).split(/ \d/);
  await offers
    .first()
    .getByRole('button', { name: /this week$/ })
    .click();
  await expect(page.getByText(`Without ${name.toLowerCase()}.`)).toBeVisible({ timeout: 60_000 });
  await expect(offers.filter({ hasText: new RegExp(`^Suggested: ${name}`) })).toHaveCount(0);
  expect(many).toBeGreaterThan(4);
  await page.getByRole('button', { name: /^Take all \d+$/ }).click();
  await expect
    .poll(async () => (await week(page)).meals.filter(({ state }) => state === 'planned').length)
    .toBeGreaterThan(4);
  const view = await week(page);
  for (const meal of view.meals) for (const take of meal.takes) expect(take.missing).toBe('');
  await undoSince(page, found);
  await page.reload();
  await expect(page.getByRole('article')).toHaveCount(0);

  const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await line.click();
  await line.pressSequentially('take 500 g mutton mince for sunday');
  await page.getByRole('button', { name: /^Promise it/ }).click();
  await expect(toast(page, /planned: Mutton mince/)).toBeVisible();
  expect((await stock(page, 'mutton mince')).filter(({ story }) => story.includes('promised'))).toHaveLength(
    1,
  );
});

test('dinners are put together from leftovers; cold water has its clock; what thawed for a skipped meal is not forgotten', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto('/meals');
  const before = (await stock(page, 'chowder')).length;
  await page.getByRole('button', { name: 'Dinners from leftovers' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Beside it').first().selectOption({ index: 1 });
  await expect(sheet.getByRole('list', { name: 'The boxes' }).getByRole('listitem')).toHaveCount(4);
  await expectAccessible(page);
  await sheet.getByRole('checkbox', { name: 'Wren' }).click();
  await sheet.getByRole('button', { name: 'Put together 3 dinners' }).click();
  await expect(toast(page, /^3 dinners put together/)).toBeVisible();
  const boxes = (await stock(page, 'gran morag')).filter(({ story }) => story.includes('Gran Morag'));
  expect(boxes).toHaveLength(1);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(async () => (await stock(page, 'chowder')).length).toBe(before);

  // Cold water, with the clock of its changes, also over a reload.
  const { days } = await week(page);
  // The next dinner that the fridge is too slow for and cold water is not: in the morning that of today.
  const soon = days[new Date().getHours() < 12 ? 0 : 1]?.words ?? '';
  await place(page, soon, 'Dinner')
    .getByRole('button', { name: /^Plan / })
    .click();
  await sheet.getByLabel('Called').fill('Stew dinner');
  await sheet.getByLabel(/^Add, for example/).fill('stew 600 g');
  await expect(sheet).toContainText(/needs about \d+ hours to thaw/);
  await sheet.getByRole('button', { name: /^Frozen all the same: 600 g/ }).click();
  await sheet.getByRole('button', { name: 'Plan it' }).click();
  await expect(sheet).toHaveCount(0);
  const thaw = page.getByRole('region', { name: 'What must thaw' });
  await expect(thaw).toContainText(/Too late for the fridge; in cold water still works until/);
  await thaw.getByRole('button', { name: 'Into cold water' }).click();
  await page.reload();
  await expect(thaw.getByRole('timer')).toContainText(/Change the water in (30|29|28) min/);
  await expectAccessible(page);
  await thaw.getByRole('button', { name: 'Water changed' }).click();
  await thaw.getByRole('button', { name: 'Soft: cook it now' }).click();
  await expect(thaw.getByRole('timer')).toHaveCount(0);

  await place(page, soon, 'Dinner').getByRole('button', { name: 'Stew dinner', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Skip it' }).click();
  const over = page.getByRole('region', { name: 'Thawed and not eaten' });
  await expect(over).toContainText(/Stew 600 g .*meant for Stew dinner: use it by/);
  await over.getByRole('button', { name: /^Eat Stew .* tonight$/ }).click();
  await expect.poll(async () => JSON.stringify(await today(page)).includes('Stew')).toBe(true);
});
