import { expect, test } from '@playwright/test';
import { choose, expectAccessible, openDesign } from './support';

test('an aircraft is built a thousand times and can be stopped; one number is swept and drawn', async ({ page }) => {
  await openDesign(page, 'Tern Tender', 'Compare');
  await page.getByRole('button', { name: 'Build it 1,000 times' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Build it 1,000 times' }).click();
  const built = page.getByRole('region', { name: 'As it may be built' });
  await expect(built.locator('[data-chance="firstThrow"]')).toContainText(/\d+ %$/, { timeout: 60_000 });
  await expect(built.locator('[data-output="rigging.handsOffLift"]')).toContainText(/angle of .+, \d+ %/);
  await expectAccessible(page);
  await choose(page, 'Goes through', 'Wing: root chord');
  await choose(page, 'Shows', 'Stall speed');
  await page.getByRole('button', { name: 'Sweep it' }).click();
  const curve = page.getByRole('region', { name: 'What a number does' });
  await expect(curve.getByRole('heading', { name: 'Stall speed over Wing: root chord' })).toBeVisible({
    timeout: 60_000,
  });
  await expect(curve.locator('.js-plotly-plot')).toBeVisible();
  await expectAccessible(page);
});
