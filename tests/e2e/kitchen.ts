import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Types a line into the quick line as a cook would, and waits until it was read. */
export async function typeLine(page: Page, text: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await line.click();
  await expect(page.locator('#quick-reading')).toBeAttached();
  await line.fill('');
  await line.pressSequentially(text);
}

/**
 * No violation of the rules that axe knows, WCAG 2.2 AA and best practice; none that stays when one page has given way to the next.
 *
 * @param rules these only; left out: all of them
 */
export async function expectAccessible(page: Page, rules?: string[]): Promise<void> {
  await expect(async () => {
    // While one page gives way to the next there is no title for a moment.
    await expect(page).toHaveTitle(/\S/);
    const axe = new AxeBuilder({ page });
    const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
    const told = violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
    );
    expect(told).toEqual([]);
  }).toPass({ timeout: 20_000 });
}

/** The message that tells what was done. */
export function toast(page: Page, text: RegExp | string) {
  return page.getByRole('status').filter({ hasText: text });
}

/**
 * Takes back what was told since, the last first, so that the house is as it was found. What the page has
 * shown may still be on its way to the ledger: an undo refused for its sake is asked again, from the newest.
 */
export async function undoSince(page: Page, last: string): Promise<void> {
  await expect(async () => {
    const { entries } = (await (await page.request.get('/api/v1/ledger?limit=100')).json()) as {
      entries: { id: string; type: string; undone: boolean }[];
    };
    const since = entries.slice(
      0,
      entries.findIndex(({ id }) => id === last),
    );
    for (const { id, type, undone } of since) {
      if (type === 'ledger.undo' || undone) continue;
      const data = { id: crypto.randomUUID(), type: 'ledger.undo', command: id, meanwhile: 'cold' };
      const answer = await page.request.post('/api/v1/commands', { data });
      expect([type, answer.ok() ? '' : await answer.text()]).toEqual([type, '']);
    }
  }).toPass({ timeout: 20_000 });
}

/** The last thing that was told. */
export const latest = async (page: Page): Promise<string> =>
  ((await (await page.request.get('/api/v1/ledger?limit=1')).json()) as { entries: [{ id: string }] })
    .entries[0].id;

/** Waits until the door answered all that this device told it, also over a reload. */
export async function allAnswered(page: Page): Promise<void> {
  const waiting = () => Object.keys(localStorage).filter((key) => key.startsWith('orderly-frost:sending:'));
  await expect.poll(() => page.evaluate(waiting), { timeout: 60_000 }).toEqual([]);
}
