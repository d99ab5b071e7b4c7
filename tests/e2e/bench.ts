import { expect, type Locator, type Page } from '@playwright/test';

/** The list of lines on the bench. */
export const lines = (page: Page): Locator => page.getByRole('region', { name: 'Lines', exact: true });

/** One line of the list by its name. */
export const lineOf = (page: Page, name: string): Locator =>
  lines(page).getByRole('button', { name: new RegExp(`^${name}`) });

/** Begins a haul where none is open. */
export async function beginHaul(page: Page, base = ''): Promise<void> {
  await page.goto(`${base}/haul`);
  await page.getByRole('button', { name: 'Begin the haul' }).click();
  await expect(page.getByRole('button', { name: 'Type the first line' })).toBeVisible();
}

/** Types a line into the quick line; it is on the bench then. */
export async function tellLine(page: Page, text: string, name: string): Promise<void> {
  const quick = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await quick.click();
  await quick.fill(text);
  await expect(page.getByRole('button', { name: /^On the bench/ })).toBeVisible();
  await quick.press('Enter');
  await expect(lineOf(page, name)).toBeVisible();
  await expect(quick).toHaveValue('');
  await quick.press('Escape');
}

/** Chooses a line and waits for its portions. */
export async function chooseLine(page: Page, name: string): Promise<void> {
  await lineOf(page, name).click();
  await expect(page.getByRole('heading', { name: new RegExp(`^${name}, `) })).toBeVisible();
}

export interface BenchView {
  haul: { id: string; closedAt: string | null } | null;
  lines: {
    id: string;
    called: string;
    amount: number;
    priceMinor: number | null;
    parts: { amounts: number[]; goes: string; packing: string }[];
  }[];
  packs: {
    id: string;
    code: string;
    line: string;
    amount: number;
    price_minor: number | null;
    waiting: boolean;
    gone: boolean;
  }[];
}

/** The bench as the API tells it. */
export async function readBench(page: Page, base = ''): Promise<BenchView> {
  return (await (await page.request.get(`${base}/api/v1/haul`)).json()) as BenchView;
}
