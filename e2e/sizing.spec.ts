import { expect, type Page, test } from '@playwright/test';
import { beamNumbers, counting, expectSaved, field, openDesign, toStage, watchErrors } from './support';

/** Most actions from an empty browser to a sized model. */
const MOST_ACTIONS = 25;

async function emptyBrowser(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Designs' })).toBeVisible();
}

async function expectSized(page: Page): Promise<void> {
  await expect(page.locator('[data-number="beam-neutral"]')).toHaveText(/neutral \d+ mm/);
  await expect(page.getByTestId('verdict')).toHaveText('Balances inside its window');
  expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined/);
}

test('as a new user: a conventional model, sized, drawn and with its neutral point', async ({ page }) => {
  const noErrors = watchErrors(page);
  await emptyBrowser(page);
  const hand = counting(page);
  await hand.click('New design');
  await hand.type('Name of the design', 'Quay Runner');
  await hand.choose('Purpose', 'Learn and train');
  await hand.type('Weight class', '700');
  await hand.type('Longest panel in the car', '900');
  await hand.click('Draw three layouts');
  const first = page.locator('[data-layout]').first();
  await expect(page.locator('[data-layout]')).toHaveCount(3, { timeout: 30_000 });
  await expect(first).toContainText('Wing and tailplane');
  await hand.click('Start from this');
  await hand.stage('Wing');
  await hand.click('2');
  await hand.type('Washout at the tip', '1.5');
  await hand.drag('wing-tip', 0, -12);
  await hand.stage('Section');
  await expect(page.getByTestId('section-sheet')).toBeVisible();
  await hand.stage('Tail');
  await hand.click('Compare');
  await expect(page.getByTestId('tail-schools')).toContainText('What it must do', { timeout: 20_000 });
  await hand.click('Size it by tail volume');
  await hand.stage('Rigging');
  await hand.stage('Balance');
  await hand.click(/^Take: .* to .* mm/);
  await expectSized(page);
  expect(hand.count()).toBeLessThanOrEqual(MOST_ACTIONS);
  noErrors();
});

for (const [purpose, layout, surface] of [
  ['Penetrate wind', 'Swept tailless', 'wing-tip'],
  ['Float about slowly', 'Staggered biplane', 'upperWing-tip'],
] as const) {
  test(`likewise a ${layout.toLowerCase()}`, async ({ page }) => {
    await emptyBrowser(page);
    const hand = counting(page);
    await hand.click('New design');
    await hand.choose('Purpose', purpose);
    await hand.click('Draw three layouts');
    await expect(page.locator('[data-layout]')).toHaveCount(3, { timeout: 30_000 });
    await page.getByRole('button', { name: `Start from this: ${layout}` }).click();
    await hand.stage('Wing');
    await hand.drag(surface, 6, -8);
    await hand.stage('Balance');
    await hand.click(/^Take: .* to .* mm/);
    await expectSized(page);
    expect(hand.count() + 1).toBeLessThanOrEqual(MOST_ACTIONS);
  });
}

test('sizes hold what is locked, sheets give the span, a dimension takes what is typed', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  const area = await field(page, 'Area (dm²)').inputValue();
  await page.getByRole('button', { name: 'Lock area' }).click();
  await page.getByRole('button', { name: /^Span 1400/ }).click();
  await expect(field(page, 'Span, projected')).toHaveValue('1400');
  await expect(field(page, 'Area (dm²)')).toHaveValue(area);
  await field(page, 'Area (dm²)').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('cannot change: the area is locked: unlock it');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Unlock area' }).click();
  await page.getByRole('button', { name: /^root .*type another/ }).click();
  await field(page, 'root, typed').fill('8 1/4 in');
  await page.keyboard.press('Enter');
  await expect(field(page, 'root chord')).toHaveValue(/^209\.[56]$/);
  await page.getByRole('radio', { name: 'Front' }).click();
  await expect(page.getByTestId('drawing')).toContainText('up, as good as');
  await page.getByRole('radio', { name: '3D' }).click();
  await expect(page.locator('canvas')).toBeVisible();
});

test('a state is kept, compared and gone back to', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  const before = await beamNumbers(page);
  await page.getByRole('button', { name: 'Revisions' }).click();
  await page.getByLabel('Name of this state').fill('Short wing');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.keyboard.press('Escape');
  await field(page, 'Span, projected').fill('1500');
  await page.keyboard.press('Enter');
  await expect.poll(() => beamNumbers(page)).not.toEqual(before);
  await page.getByRole('button', { name: /^Revisions/ }).click();
  await page.getByRole('button', { name: 'Compare' }).click();
  const comparison = page.getByTestId('comparison');
  await expect(comparison).toContainText('1237 mm');
  await expect(comparison).toContainText('1500 mm');
  await expect(comparison).toContainText('Wing, station 3, distance from root');
  await expect(page.getByTestId('ghost')).toBeAttached();
  await page.getByRole('button', { name: 'Go on from it' }).click();
  await page.keyboard.press('Escape');
  await expect.poll(() => beamNumbers(page)).toEqual(before);
});

test('a shared wing changed in one design follows in the other, and combinations are tried', async ({ page }) => {
  await openDesign(page, 'Polly Drift', 'Balance');
  await page.getByRole('button', { name: /^Assemblies/ }).click();
  await page.getByRole('button', { name: 'Swap' }).first().click();
  await page.getByRole('button', { name: 'Close' }).click();
  await toStage(page, 'Wing');
  const span = await field(page, 'Span, projected').inputValue();
  await field(page, 'Span, projected').fill('1111');
  await page.keyboard.press('Enter');
  await expect(field(page, 'Span, projected')).toHaveValue('1111');
  await expectSaved(page);
  // The wing that came in is shared with the design it came from.
  const other = span === '1237' ? 'Lagoon Postman' : 'Evening Lifter';
  await openDesign(page, other, 'Wing');
  await expect(field(page, 'Span, projected')).toHaveValue('1111');
  await page.getByRole('button', { name: /^Assemblies/ }).click();
  const choices = page.getByRole('group').filter({ hasText: 'In the place of' }).first();
  await expect(choices.getByRole('checkbox').first()).toBeVisible();
  for (const box of await choices.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: /^Try all/ }).click();
  await expect(page.getByTestId('combinations').getByRole('row')).toHaveCount(4, { timeout: 20_000 });
  expect(await page.getByTestId('combinations').innerText()).not.toMatch(/NaN|undefined/);
});
