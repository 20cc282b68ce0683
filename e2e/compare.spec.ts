import { expect, test } from '@playwright/test';
import { choose, expectAccessible, expectSaved, openDesign } from './support';

test('an aircraft is built a thousand times and can be stopped; one number is swept, drawn, tried and taken over', async ({
  page,
}) => {
  await openDesign(page, 'Tern Tender', 'Compare');
  await page.getByRole('button', { name: 'Build it 1,000 times' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Build it 1,000 times' }).click();
  const built = page.getByRole('region', { name: 'As it may be built' });
  await expect(built.locator('[data-chance="firstThrow"]')).toContainText(/\d+ %$/, { timeout: 60_000 });
  await expect(built.locator('[data-output="rigging.handsOffLift"]')).toContainText(/angle of .+, \d+ %/);
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'One number' }).click();
  await choose(page, 'Goes through', 'Wing: root chord');
  await choose(page, 'Shows', 'Stall speed');
  await page.getByRole('button', { name: 'Sweep it' }).click();
  const curve = page.getByRole('region', { name: 'What a number does' });
  await expect(curve.getByRole('heading', { name: 'Stall speed over Wing: root chord' })).toBeVisible({
    timeout: 60_000,
  });
  await expect(curve.locator('.js-plotly-plot')).toBeVisible();
  // By keyboard: the first place of all.
  await curve.getByRole('slider', { name: 'Place that is tried' }).press('Home');
  await expect(curve.getByText(/^Wing: root chord [\d.]+ mm:$/)).toBeVisible();
  await expectAccessible(page);
  await curve.getByRole('button', { name: 'Take it over as a revision' }).click();
  await expect(page.getByText(/^Taken over and kept as a revision/)).toBeVisible();
  await expectSaved(page);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('Swept before the last change: sweep it again.')).toBeHidden();
});

test('two numbers are mapped; a press on the map tries a place', async ({ page }) => {
  await openDesign(page, 'Tern Tender', 'Compare');
  await page.getByRole('radio', { name: 'One number' }).click();
  await choose(page, 'and, for a map', 'Wing: all chords');
  await page.getByRole('button', { name: 'Map it' }).click();
  const map = page.getByRole('region', { name: 'What a number does' });
  await expect(map.locator('.js-plotly-plot .contourlayer').first()).toBeAttached({ timeout: 60_000 });
  const box = (await map.locator('.js-plotly-plot .nsewdrag').first().boundingBox())!;
  await page.mouse.move(box.x + box.width / 3, box.y + box.height / 3);
  await page.mouse.click(box.x + box.width / 3, box.y + box.height / 3);
  await expect(map.getByRole('button', { name: 'Take it over as a revision' })).toBeVisible();
  await expectAccessible(page);
});

test('designs stand side by side; a search finds one that meets the brief and sets it beside', async ({ page }) => {
  await openDesign(page, 'Evening Lifter', 'Compare');
  await page.getByRole('radio', { name: 'Side by side' }).click();
  await choose(page, 'Set beside', 'Tern Tender');
  const beside = page.getByRole('region', { name: 'Side by side' });
  await expect(beside.locator('[data-moved="B"]')).toContainText(/Neutral point [+−]/, { timeout: 60_000 });
  await expect(beside.locator('.js-plotly-plot')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'Search' }).click();
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  const found = page.getByRole('region', { name: 'Found' });
  await expect(found.locator('[data-answer="1"]')).toBeVisible({ timeout: 90_000 });
  await expectAccessible(page);
  await found.getByRole('button', { name: 'Set 1 beside' }).click();
  await page.getByRole('radio', { name: 'Side by side' }).click();
  await expect(beside.locator('[data-moved="C"]')).toBeVisible({ timeout: 60_000 });
});
