import { expect, test } from '@playwright/test';
import { choose, drag, expectAccessible, field, openDesign, toStage, toggleFindings } from './support';

test('a camera on the nose drives the pack out of travel; a remedy is taken and the stop is gone', async ({ page }) => {
  await openDesign(page, 'Kittiwake Winglet', 'Weights');
  await page.getByRole('button', { name: 'Add equipment' }).click();
  await page.getByRole('menuitem', { name: 'Camera, mapping' }).click();
  const place = field(page, 'Camera, mapping aft of datum');
  await place.fill('0');
  await place.press('Enter');
  await toggleFindings(page);
  const finding = page.locator('[data-finding="packOutOfTravel"]');
  await expect(finding).toContainText('Stop');
  await expect(finding).toContainText('behind the end of its bay');
  await expect(page.getByTestId('verdict')).toContainText('too far forward');
  const remedy = finding.getByRole('group', { name: 'Ways to mend it' }).getByRole('button').first();
  await expect(remedy).toBeEnabled({ timeout: 15_000 });
  await remedy.click();
  await expect(finding).toHaveCount(0);
  await expect(page.getByTestId('verdict')).toHaveText('Balances inside its window');
});

test('the table by keyboard: type, weigh, sort, filter, sum; out and in as text', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Weights');
  const mass = field(page, 'Mass of Receiver');
  await mass.focus();
  await page.keyboard.press('ArrowUp');
  await expect(mass).toHaveValue('9');
  await page.keyboard.press('Tab');
  await expect(field(page, 'Weighed mass of Receiver')).toBeFocused();
  await page.keyboard.type('14');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Weighed against computed')).toBeVisible();
  await expect(page.locator('[data-subtotal="power"]')).toHaveText('201 g');
  const names = () =>
    page
      .getByTestId('weights')
      .locator('tbody th[scope=row]')
      .evaluateAll((cells) => cells.map((cell) => cell.querySelector('input')?.value ?? cell.textContent));
  await page.getByRole('button', { name: 'Part', exact: true }).press('Enter');
  const sorted = await names();
  expect(sorted).toEqual([...sorted].sort((a, b) => a!.localeCompare(b!, undefined, { numeric: true })));
  await page.getByLabel('Show only parts that contain').fill('servo');
  await expect.poll(async () => (await names()).length).toBe(2);
  await page.getByLabel('Show only parts that contain').fill('');

  await page.getByRole('button', { name: 'Paste rows' }).click();
  await page.getByRole('textbox', { name: 'Rows' }).fill('name\tmass\tx\nAnvil\theavy\t10');
  await page.getByRole('button', { name: 'Take them' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing was taken. Line 2, mass_g: “heavy” is not a number');
  await page.getByRole('textbox', { name: 'Rows' }).fill('name\tmass\tx\nGimbal\t42\t180');
  await page.getByRole('button', { name: 'Take them' }).click();
  await expect(field(page, 'Mass of Gimbal')).toHaveValue('42');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const text = await (await (await waiting).createReadStream()).toArray();
  expect(Buffer.concat(text as Buffer[]).toString()).toContain('Gimbal,other,42');
  await expectAccessible(page);
});

test('a part is dragged from the side, kept in the drawer and at hand in another design', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Weights');
  await drag(page, page.locator('[data-handle="receiver-place"]'), 30, -6);
  await expect(field(page, 'Receiver aft of datum')).not.toHaveValue('260');
  await expect(field(page, 'Receiver above datum')).not.toHaveValue('5');
  await page.getByRole('button', { name: 'Keep Receiver in my drawer' }).click();
  // Kept for good before another design is opened.
  await expect(page.getByText('Receiver lies in your drawer now, for every design.')).toBeVisible();
  await openDesign(page, 'Gannet Vee', 'Weights');
  await page.getByRole('button', { name: 'Put Receiver in' }).click();
  await expect(
    page
      .getByTestId('weights')
      .getByRole('row')
      .filter({ has: page.getByLabel('Name of Receiver') }),
  ).toHaveCount(2);
});

test('emptying the weights says what is missing', async ({ page }) => {
  await openDesign(page, 'Evening Lifter', 'Weights');
  for (const part of ['Wing', 'Tailplane', 'Fin', 'Fuselage']) await choose(page, `Sheet of ${part}`, 'weighs nothing');
  const takeOut = page.getByTestId('weights').getByRole('button', { name: /^Take .* out$/ });
  for (let left = await takeOut.count(); left > 0; left--) {
    await takeOut.first().click();
    await expect(takeOut).toHaveCount(left - 1);
  }
  await toggleFindings(page);
  await expect(page.locator('[data-finding="nothingWeighed"]')).toBeVisible();
  await toggleFindings(page);
  expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined/);
});

test('balance, undercarriage and ceilings answer what is asked', async ({ page }) => {
  await openDesign(page, 'Atoll Freighter', 'Balance');
  await expect(page.getByText(/^Scales should read/)).toBeVisible();
  const way = page.getByTestId('ways').getByRole('listitem').first();
  await expect(way).toContainText(/then \d+(\.\d)? % margin/, { timeout: 15_000 });
  await choose(page, 'Balance at', 'a place');
  await field(page, 'Aft of the datum').first().fill('350');
  await page.keyboard.press('Enter');
  await way.getByRole('button').click();
  await expect(page.locator('[data-number="beam-balance"]')).toHaveText('balances 350 mm');
  await expect(page.getByTestId('ceilings')).toContainText('Strength');
  await choose(page, 'Put in', /^Camera, mapping/);
  await expect(page.getByText('Balance moves')).toBeVisible({ timeout: 15_000 });
  await expect(page.getByText('Nose wheel: tips over beyond')).toBeVisible();
  await expectAccessible(page);
});

test('measured angles are judged by what they do, and shimmed away', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Rigging');
  const tail = page
    .locator('div')
    .filter({ hasText: /^Tailplane/ })
    .last();
  await expect(tail).toBeVisible();
  await field(page, 'Incidence, left').nth(1).fill('-3.5');
  await page.keyboard.press('Enter');
  await field(page, 'Incidence, right').nth(1).fill('-3.5');
  await page.keyboard.press('Enter');
  await toggleFindings(page);
  const finding = page.locator('[data-finding="handsOffTrim"]');
  await expect(finding).toContainText(/Hands off it settles at a lift coefficient of/);
  await expect(page.getByText(/Built 4° too far nose down|Built 4\.0° too far nose down/)).toBeVisible();
  const shim = finding.getByRole('button', { name: /^Shim Tailplane/ });
  await expect(shim).toBeEnabled({ timeout: 15_000 });
  await shim.click();
  await expect(finding).toHaveCount(0);
  await toStage(page, 'Stability');
  await expect(page.getByTestId('verdicts')).toContainText('tracks');
});
