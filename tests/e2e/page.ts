import { type Browser, type BrowserContext, expect, type Page, test as base } from '@playwright/test';
import { latest, undoSince } from './kitchen';

export { expect };

/** Waits until the page answers: before that a click or a word typed is lost. */
async function answering(page: Page): Promise<void> {
  await page
    .waitForFunction(
      () =>
        [...document.querySelectorAll('main input, main button, main select, main textarea')].every((part) =>
          Object.keys(part).some((key) => key.startsWith('__reactProps')),
        ),
      undefined,
      { timeout: 20_000 },
    )
    // A page that was not sent by the application at all is the test's own business.
    .catch(() => undefined);
}

/** `LAG=800`: every answer comes up to so many milliseconds late, which shows the tests that race the server. */
const LAG_MS = Number(process.env.LAG ?? 0);

async function answerLate(where: Page | BrowserContext): Promise<void> {
  await where.route('**/api/v1/**', async (route) => {
    await new Promise((done) => setTimeout(done, Math.random() * LAG_MS));
    await route.fallback().catch(() => undefined);
  });
}

/** Other devices of a test are as slow. */
function slowDevices(browser: Browser): void {
  const newContext = browser.newContext.bind(browser);
  browser.newContext = async (...told) => {
    const context = await newContext(...told);
    await answerLate(context);
    return context;
  };
}

/** Playwright's test with a page whose `goto` and `reload` wait until it answers. */
export const test = base.extend({
  page: async ({ page, baseURL, browser }, use, told) => {
    // As on a device that went through a door before.
    const choice = await page.request.get('/api/v1/households').catch(() => null);
    const { here } = choice?.ok() ? ((await choice.json()) as { here: number | null }) : { here: null };
    if (here !== null && baseURL)
      await page
        .context()
        .addCookies([{ name: 'orderly-frost-household', value: String(here), url: baseURL }]);
    if (LAG_MS > 0) {
      await answerLate(page);
      slowDevices(browser);
    }
    const errors: string[] = [];
    page.on('pageerror', ({ message }) => errors.push(message));
    const goto = page.goto.bind(page);
    const reload = page.reload.bind(page);
    page.goto = async (...where) => {
      const response = await goto(...where);
      await answering(page);
      return response;
    };
    page.reload = async (...how) => {
      const response = await reload(...how);
      await answering(page);
      return response;
    };
    // One that fails is run again, in the same house: what the first try had told is taken back.
    const found = told.project.name === 'shared' ? await latest(page).catch(() => null) : null;
    await use(page);
    if (found !== null && told.status !== told.expectedStatus) {
      await page.unrouteAll({ behavior: 'ignoreErrors' });
      await page.goto('about:blank');
      await undoSince(page, found).catch(() => undefined);
    }
    // Nothing breaks behind what is seen: no page may throw while it wakes or works.
    expect(errors).toEqual([]);
  },
});
