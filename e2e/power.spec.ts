import { expect, test } from '@playwright/test';
import { expectAccessible, openDesign, watchErrors } from './support';

test('every motor, propeller and pack is tried, one is taken, and undone it is as it was', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Gannet Vee', 'Power');
  const kv = page.getByRole('textbox', { name: 'rev/min per volt' });
  const before = await kv.inputValue();
  await page.getByRole('radio', { name: 'usual sizes' }).click();
  await page.getByRole('button', { name: /^Try all [\d]+$/ }).click();
  const table = page.getByRole('region', { name: 'Combinations' });
  await expect(table.getByText(/^\d+ of 1680 do/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Order' }).click();
  await page.getByRole('option', { name: 'lightest first' }).click();
  await table
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(kv).not.toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(kv).toHaveValue(before);
  noErrors();
});

test('a blade is twisted, drawn with its templates, and what no blade can be is said', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Lagoon Postman', 'Power');
  await page.getByRole('button', { name: 'Twist the blade so' }).click();
  await expect(page.getByRole('textbox', { name: 'Angle at 70 %' })).toBeVisible();
  await page.getByRole('radio', { name: 'Blade' }).click();
  await expect(page.getByRole('group', { name: /^Blade of Drive and its templates/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go by the pitch' }).click();
  const pitch = page.getByRole('textbox', { name: 'Pitch', exact: true });
  await pitch.fill('500');
  await pitch.press('Enter');
  await expect(page.getByText(/over twice its diameter/).first()).toBeVisible();
  noErrors();
});

test('a flight is planned by keyboard, and an empty pack at its end is told', async ({ page }) => {
  await openDesign(page, 'Gannet Vee', 'Power');
  await page.getByRole('button', { name: 'Phase', exact: true }).press('Enter');
  await page.getByRole('menuitem', { name: 'Circle' }).press('Enter');
  const minutes = page.getByRole('textbox', { name: 'Minutes' });
  await minutes.fill('300');
  await minutes.press('Enter');
  await expect(page.getByText(/^takes [\d.]+ % of the pack/)).toBeVisible();
  await expect(page.getByText(/^The planned flight takes \d+ % of the pack/).first()).toBeVisible();
});
