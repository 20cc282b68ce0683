import { writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beamNumbers, expectAccessible, expectSaved, field, openDesign } from './support';

test('new, copy, rename, remove with undo', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.getByRole('button', { name: 'Start with a plain wing and tail' }).click();
  await expect(page.getByTestId('verdict')).toContainText(/Balances/);
  await page.getByLabel('Name of the design').fill('Breakwater');
  await page.keyboard.press('Enter');
  await expectSaved(page);
  await page.getByRole('link', { name: 'Inclinar' }).click();
  await page.getByRole('button', { name: 'Copy Breakwater' }).click();
  await expect(page.getByRole('link', { name: 'Breakwater copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Rename Breakwater copy' }).click();
  await page.getByLabel('New name of Breakwater copy').fill('Groyne');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Groyne' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Groyne' }).click();
  await expect(page.getByRole('link', { name: 'Groyne' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Groyne' })).toBeVisible();
  await expectAccessible(page);
});

test('a bad file is refused with the field and the reason, and nothing changes', async ({ page }, info) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Lagoon Postman', exact: true })).toBeVisible();
  const count = await page.locator('[data-design]').count();
  const bad = info.outputPath('bad.json');
  writeFileSync(
    bad,
    '{"format":"inclinar-design","version":1,"name":"Bad","surfaces":[{"id":"w","role":"wing","stations":[{"distanceFromRoot":0,"chord":-3},{"distanceFromRoot":100,"chord":100}]}]}',
  );
  await page.getByLabel('Design files to import').setInputFiles(bad);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('bad.json was not taken; nothing else changed');
  await expect(alert).toContainText('/surfaces/0/stations/0/chord');
  await expect(alert).toContainText('between 5 mm and 3000 mm');
  expect(await page.locator('[data-design]').count()).toBe(count);
});

test('a file is taken by dropping it', async ({ page }) => {
  await page.goto('/');
  await expect(page.locator('[data-design]').first()).toBeVisible();
  const transfer = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    const text = JSON.stringify({ format: 'inclinar-design', version: 1, name: 'Dropped in' });
    data.items.add(new File([text], 'dropped.json', { type: 'application/json' }));
    return data;
  });
  await page.locator('main').dispatchEvent('drop', { dataTransfer: transfer });
  await page.getByRole('link', { name: 'Dropped in' }).click();
  await expect(page.getByText(/no wing with area yet/).first()).toBeVisible();
});

test('a killed tab loses at most the last half second', async ({ context }) => {
  const first = await context.newPage();
  await openDesign(first, 'Lagoon Postman');
  await field(first, 'Incidence').fill('4.2');
  await first.keyboard.press('Enter');
  await expectSaved(first);
  await first.close({ runBeforeUnload: false });
  const second = await context.newPage();
  await openDesign(second, 'Lagoon Postman');
  await expect(field(second, 'Incidence')).toHaveValue('4.2');
});

test('two tabs: the other follows, and a clash is put to the user', async ({ context }) => {
  const [a, b] = [await context.newPage(), await context.newPage()];
  await openDesign(a, 'Lagoon Postman');
  await openDesign(b, 'Lagoon Postman');
  await field(a, 'Incidence').fill('2');
  await a.keyboard.press('Enter');
  await expect(field(b, 'Incidence')).toHaveValue('2');
  await expect.poll(async () => (await beamNumbers(a)).join() === (await beamNumbers(b)).join()).toBe(true);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/design/none/wing');
  await expect(page.getByRole('heading', { name: 'This design is not in this browser' })).toBeVisible();
  await page.getByRole('button', { name: 'To the designs' }).click();
  await expect(page.getByRole('heading', { name: 'Designs' })).toBeVisible();
});
