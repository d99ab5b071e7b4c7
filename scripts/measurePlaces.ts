import { chromium, type Page } from '@playwright/test';
import type { Measured } from './measureKitchen';
import { inFull } from './benchScale';

/** Each place by its link, and what stands in it once its content does. */
const PLACES = [
  ['Today', '/', '[data-row]'],
  ['Haul', '/haul', 'main h2, main form'],
  ['Stock', '/stock', 'main table tbody tr'],
  ['Outage', '/outage', 'main input[type=datetime-local]'],
  ['Ledger', '/ledger', 'main ol li'],
  ['Kitchen', '/kitchen', 'main article, main h2'],
] as const;
const ROUNDS = inFull(8, 1);
const SLOWER = 4;

/** What runs in the page, as text: compiled names would not be known there. */
const clickAndWait = (link: string, wanted: string, shown: string): string => `new Promise((done) => {
  const begun = performance.now();
  [...document.querySelectorAll('nav[aria-label=Places] a')].find((one) => one.textContent === ${JSON.stringify(link)})?.click();
  (function look() {
    if (location.pathname === ${JSON.stringify(wanted)} && document.querySelector(${JSON.stringify(shown)}))
      done(performance.now() - begun);
    else requestAnimationFrame(look);
  })();
})`;

/** From the click on a link until the content of its place stands, ms. */
const goTo = (page: Page, [name, path, content]: (typeof PLACES)[number]): Promise<number> =>
  page.evaluate<number>(clickAndWait(name, path, content));

/** From place to place in the browser, as it is and with its processor slowed. */
export async function placeToPlace(base: string): Promise<Measured[]> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const { here } = (await (await fetch(`${base}/api/v1/households`)).json()) as { here: number };
  const measured: Measured[] = [];
  try {
    for (const slower of [1, SLOWER].slice(0, inFull(2, 1))) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      // As on a device that went through a door before: else Today is the page with the two doors.
      await context.addCookies([{ name: 'orderly-frost-household', value: String(here), url: base }]);
      const page = await context.newPage();
      const session = await page.context().newCDPSession(page);
      await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
      await page.goto(`${base}/outage`);
      await page.waitForTimeout(2500);
      const took: number[] = [];
      for (let round = -1; round < ROUNDS; round++) {
        for (const place of PLACES) {
          const ms = await goTo(page, place);
          if (round >= 0) took.push(ms);
          await page.waitForTimeout(250);
        }
      }
      took.sort((a, b) => a - b);
      const how = slower === 1 ? '' : `, processor slowed ${slower} times`;
      measured.push(
        { what: `from place to place${how}, median`, value: took[took.length >> 1] ?? 0, unit: 'ms' },
        {
          what: `from place to place${how}, p95`,
          value: took[Math.floor(took.length * 0.95)] ?? 0,
          unit: 'ms',
        },
      );
      await context.close();
    }
  } finally {
    await browser.close();
  }
  return measured;
}
