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

/** No violation of the rules that axe knows, WCAG 2.2 AA and best practice. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const told = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
  expect(told).toEqual([]);
}

/** The message that tells what was done. */
export function toast(page: Page, text: RegExp | string) {
  return page.getByRole('status').filter({ hasText: text });
}
