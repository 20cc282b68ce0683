import { expect, test } from '@playwright/test';
import { expectAccessible, openDesign } from './support';

test('flights on record are explained: one by a cause and the change for it, those after it by nothing', async ({
  page,
}) => {
  await openDesign(page, 'Lagoon Postman', 'Field');
  const told = page.getByRole('group', { name: 'What explains it' });
  await expect(told.getByText(/^Nothing has to be wrong/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('img', { name: 'What was told and what was seen' })).toBeVisible();
  await expectAccessible(page);
  await told.getByRole('radio', { name: 'flight 1' }).click();
  await expect(told.getByText(/^What trims it stands 1\.9° nose down/).first()).toBeVisible({ timeout: 30_000 });
  await expect(told.getByText(/^Lay a shim of 4\.\d mm under the leading edge of tailplane/)).toBeVisible();
  await expect(told.getByText(/should change by −3\.\d°/)).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a flight is logged by thumb in twenty seconds', async ({ page }) => {
    await openDesign(page, 'Reef Surveyor', 'Field');
    await page.getByRole('group', { name: 'Log a flight' }).scrollIntoViewIfNeeded();
    const start = Date.now();
    // As long as a thumb takes from one place to the next.
    const press = async (role: 'button' | 'radio', name: string) => {
      const target = page.getByRole(role, { name, exact: true });
      await target.tap();
      expect((await target.boundingBox())!.height).toBeGreaterThanOrEqual(44);
      await page.waitForTimeout(900);
    };
    await press('button', 'turns left');
    await press('button', 'climbs hands off');
    await press('radio', 'better');
    await press('radio', '4');
    await press('radio', 'light');
    for (let click = 0; click < 3; click++) await press('button', 'Pitch trim found: one click down');
    for (let click = 0; click < 2; click++) await press('button', 'Roll trim found: one click right');
    await press('button', 'Log the flight');
    expect(Date.now() - start).toBeLessThan(20_000);
    await expect(page.getByRole('button', { name: /^1\. climbs hands off|^1\. turns left/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('checkbox', { name: /^For bright sun/ }).check();
    await expect(page.locator('html')).toHaveAttribute('data-sun', '');
    await expectAccessible(page);
    // It is there after a reload.
    await page.reload();
    await expect(page.getByRole('button', { name: /^1\. / })).toBeVisible();
  });
});
