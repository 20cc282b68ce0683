import { expect, test } from '@playwright/test';
import { expectAccessible, openDesign } from './support';

test('a toss is thrown by itself; one thing changed is drawn beside it; many throws come down and can be stopped', async ({
  page,
}) => {
  await openDesign(page, 'Polly Drift', 'Glider');
  await expect(page.getByText(/^As drawn it /)).toBeVisible();
  await page.getByRole('combobox', { name: 'Beside it, changed' }).click();
  await page.getByRole('option', { name: 'balance aft by' }).click();
  await page.getByRole('textbox', { name: 'By', exact: true }).fill('14');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Changed it /)).toBeVisible();
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('slider', { name: 'Time' })).not.toHaveAttribute('aria-valuetext', '0 s');
  await page.getByRole('checkbox', { name: 'Forces' }).check();
  await expect(page.getByText(/of the weight/)).toBeVisible();
  for (const [view, words] of [
    ['In space', /times its size/],
    ['Beside it', /^Squares of/],
  ] as const) {
    await page.getByRole('radio', { name: view }).click();
    await expect(page.getByRole('img', { name: /^The toss in space: as drawn it/ })).toBeVisible();
    await expect(page.getByText(words)).toBeVisible();
    await page.getByRole('button', { name: 'Turn left' }).click();
  }
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'Side and above' }).click();
  await page.getByRole('button', { name: 'Throw 200 times' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).last().click();
  await expect(page.getByRole('button', { name: 'Throw 200 times' })).toBeVisible();
  await page.getByRole('button', { name: 'Throw 200 times' }).click();
  await expect(page.getByText(/% of 200 throws go well/)).toBeVisible({ timeout: 30_000 });
  await expectAccessible(page);
});

test('off its wheels the run is flown too, or left out', async ({ page }) => {
  await openDesign(page, 'Atoll Freighter', 'Glider');
  await page.getByRole('combobox', { name: 'Launch' }).click();
  await page.getByRole('option', { name: 'off its wheels' }).click();
  await expect(page.getByText(/^after 2\.\d s and 2\d\.\d m, at 1[23]\.\d m\/s$/)).toBeVisible();
  await expect(page.getByText(/^As drawn it (balloons|settles into a climb)/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Path, up' })).toBeHidden();
  await page.getByRole('checkbox', { name: 'The run on the ground is flown too' }).uncheck();
  await expect(page.getByText('Flies free')).toBeHidden();
  await expect(page.getByRole('textbox', { name: 'Path, up' })).toHaveValue('4');
  await expectAccessible(page);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('tosses on record are shown, another is logged by one press, and all are weighed', async ({ page }) => {
    await openDesign(page, 'Kittiwake Winglet', 'Glider');
    await page.getByRole('button', { name: 'Show them' }).click();
    await expect(page.getByText(/6\. glided, 21\.3 m/)).toBeVisible();
    await page.getByRole('button', { name: 'glided', exact: true }).click();
    await expect(page.getByText(/7\. glided/)).toBeVisible();
    await page.getByRole('button', { name: 'Weigh them' }).click();
    const told = page.getByRole('group', { name: 'What tosses tell' });
    await expect(told.getByText(/^Turn tailplane nose up/)).toBeVisible({ timeout: 60_000 });
    await expect(told.getByText(/Most would be learned/)).toBeVisible();
    await expectAccessible(page);
  });
});
