import { expect, test } from '@playwright/test';
import { drag, field, openDesign, watchErrors } from './support';

test('a dimension between two points follows them; a press on a part leads to its fields', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Lagoon Postman', 'Wing');
  await page.getByRole('radio', { name: 'Plan and side' }).click();
  const middleOf = async (name: string) => {
    const box = (await page.getByRole('slider', { name, exact: true }).boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2] as const;
  };
  // The leading edge at the tip, and the trailing edge there: the tip chord.
  const [front, rear] = [await middleOf('Wing tip'), await middleOf('Wing tip chord')];
  await page.getByRole('button', { name: 'Measure between two points' }).click();
  await page.mouse.click(...front);
  await page.mouse.click(...rear);
  await page.getByRole('button', { name: 'Measure between two points' }).click();
  const measures = page.getByTestId('measures');
  await expect(measures).toHaveText('160 mm');
  await field(page, 'tip chord').fill('175');
  await page.keyboard.press('Enter');
  await expect(measures).toHaveText('175 mm');
  await page.getByRole('button', { name: 'Take the dimensions away' }).click();
  await expect(measures).toHaveText('');

  await page
    .locator('[data-part^="body"] path')
    .last()
    .click({ position: { x: 12, y: 12 }, force: true });
  await expect(page).toHaveURL(/weights$/);
  await expect(page.getByRole('combobox', { name: 'Sheet of Fuselage' })).toBeFocused();
  // Its frames can be dragged now.
  const frame = page.getByRole('slider', { name: 'Fuselage, frame 2, top' });
  const before = Number(await frame.getAttribute('aria-valuenow'));
  await drag(page, page.locator('[data-handle$="-1-top"]'), 0, -20);
  await expect.poll(async () => Number(await frame.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 5);
  noErrors();
});

test('hinges and rods are dragged where they lie', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  const hinge = page.getByRole('slider', { name: 'Aileron inboard end of the hinge' });
  const before = Number(await hinge.getAttribute('aria-valuenow'));
  await hinge.focus();
  // Nose up: an arrow up moves the hinge forward.
  await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(async () => Number(await hinge.getAttribute('aria-valuenow'))).toBeLessThan(before - 3);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => Number(await hinge.getAttribute('aria-valuenow'))).toBe(before);
});

test('a camera shows what it sees, and what of the airframe stands in its picture', async ({ page }) => {
  await openDesign(page, 'Reef Surveyor', 'Weights');
  await page.getByRole('checkbox', { name: /looks out$/ }).click();
  await expect(page.getByTestId('camera-cone').first()).toBeVisible();
  await field(page, 'Down by').fill('90');
  await page.keyboard.press('Enter');
  await field(page, 'Field of view').fill('40');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-testid^="seen-"]')).not.toContainText('Propeller');
  await field(page, 'Down by').fill('0');
  await page.keyboard.press('Enter');
  await field(page, 'Field of view').fill('120');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-testid^="seen-"]')).toContainText('Propeller');
});

/** A white picture of one point: as a sketch it says nothing, but it has a size. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
);

test('a picture lies under the drawing, is brought to scale by two points, and stays with the design', async ({
  page,
}) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  await page.getByRole('radio', { name: 'Plan and side' }).click();
  await page.getByRole('button', { name: 'Pictures under the drawing' }).click();
  await page
    .getByLabel('Lay a picture under it')
    .setInputFiles({ name: 'sketch.png', mimeType: 'image/png', buffer: PNG });
  const underlay = page.getByTestId('underlay');
  await expect(underlay).toHaveCount(1);
  const width = async () => Number(await underlay.getAttribute('width'));
  const before = await width();
  await page.getByRole('button', { name: 'Scale by two points' }).click();
  const paper = page.getByTestId('two-points');
  await paper.click({ position: { x: 200, y: 200 } });
  await paper.click({ position: { x: 300, y: 200 } });
  // A hundred pixels are half as long as they are said to be: the picture grows twofold.
  const scale = before / 950;
  await field(page, 'These two are apart').fill(String((2 * 100) / scale));
  await page.keyboard.press('Enter');
  await expect.poll(width).toBeCloseTo(2 * before, 0);
  await page.reload();
  await page.getByRole('radio', { name: 'Plan and side' }).click();
  await expect.poll(width).toBeCloseTo(2 * before, 0);
  await page.getByRole('button', { name: 'Pictures under the drawing' }).click();
  await page.getByRole('button', { name: 'Take sketch away' }).click();
  await expect(underlay).toHaveCount(0);
});

test('while a thing is held all that is drawn beside it follows, and the beam with its numbers', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  const shapes = (place: string) =>
    page
      .locator(`${place} :is(path, polyline, polygon)`)
      .evaluateAll((lines) => lines.map((line) => line.getAttribute('d') ?? line.getAttribute('points')).join());
  const places = ['[data-testid="span-strips"]', '[data-testid="from-ahead"]', '[data-testid="beam"]'];
  const before = await Promise.all(places.map(shapes));
  const { x, y, width, height } = (await page.getByRole('slider', { name: 'Wing tip', exact: true }).boundingBox())!;
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2 - 60, y + height / 2, { steps: 6 });
  for (const [index, place] of places.entries()) await expect.poll(() => shapes(place)).not.toBe(before[index]);
  await page.mouse.up();
  // The pack on the beam is held, and the sheet above follows.
  await page.getByRole('link', { name: 'Weights' }).click();
  const pack = page.locator('[data-handle="pack-place"]');
  const placeOf = () => pack.locator('polygon').first().getAttribute('points');
  await pack.waitFor();
  const [sheet, onBeam] = [await placeOf(), page.locator('[data-handle="beam-pack-place"]')];
  const box = (await onBeam.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 });
  await expect.poll(placeOf).not.toBe(sheet);
  await page.mouse.up();
});
