import { expectAccessible } from './kitchen';
import { expect, test } from './page';

test('a drill is played to its mark: the reckless one fails, the over-careful one is told what was wasted, and it is kept', async ({
  page,
}) => {
  page.setDefaultTimeout(60_000);
  await page.goto('/outage/drill');
  await expectAccessible(page);
  const play = async (choice: string): Promise<void> => {
    await page.getByRole('button', { name: /: The full chest$/ }).click();
    const judge = page.getByRole('region', { name: 'Judge' });
    await expect(judge.getByRole('button', { name: '5 still to judge' })).toBeDisabled();
    for (const button of await judge.getByRole('button', { name: choice, exact: true }).all())
      await button.click();
    await judge.getByRole('button', { name: 'Mark it' }).click();
  };
  await play('Keep');
  const mark = page.getByRole('status', { name: 'The mark' });
  await expect(mark).toContainText(/^Failed: \d would have been eaten that must go/);
  await expect(page.getByRole('listitem').filter({ hasText: 'Not safe.' }).first()).toContainText(
    /(must go|eaten by tomorrow|cooked at once): .*Rule O\d/,
  );
  await page.getByRole('button', { name: 'All exercises' }).click();
  await play('Throw out');
  await expect(mark).toContainText(
    /Passed: nothing unsafe was kept.*Wasted for nothing: .* % of what might have been eaten/s,
  );
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Once more' }).click();

  // Found out: every look costs minutes; what was seen stands beside it.
  const find = page.getByRole('region', { name: 'Find out' });
  await find.getByRole('button', { name: 'Look at the telltale · 1 min' }).click();
  await expect(find).toContainText(/The telltale: /);
  await find.getByRole('button', { name: 'Read its log · 3 min' }).click();
  await expect(find).toContainText(/Log: 0 min: −1\d/);
  const mince = page.getByRole('group', { name: 'Mutton mince', exact: true });
  await mince.getByRole('button', { name: 'Measure its middle · 4 min' }).click();
  await expect(mince).toContainText(/Seen: .*in its middle/);
  await expect(page.getByRole('status').filter({ hasText: '8 min spent' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.reload();
  const tried = page.getByRole('listitem').filter({ hasText: 'The full chest' });
  await expect(tried).toContainText(/safe, \d+ % wasted, 0 min · 2 tries/);
  await page.getByRole('button', { name: 'One drawn by chance' }).click();
  await expect(page.getByRole('heading', { name: /^Drawn by chance, no\. \d+/ })).toBeVisible();
});
