import { expect, test } from '@playwright/test';
import { beamNumbers, drag, expectAccessible, openDesign, watchErrors, field } from './support';

const STAGES = ['Brief', 'Wing', 'Section', 'Tail', 'Rigging', 'Weights', 'Balance', 'Stability'];

test('every stage is reached, shows numbers that are numbers, and axe finds nothing', async ({ page }) => {
  const noErrors = watchErrors(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Designs' })).toBeVisible();
  await expectAccessible(page);
  await openDesign(page, 'Lagoon Postman');
  for (const stage of STAGES) {
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
    await expect(
      page.getByTestId('drawing').or(page.getByTestId('candidates')).or(page.getByTestId('section-sheet')),
    ).toBeVisible();
    if (stage === 'Stability') await expect(page.locator('.js-plotly-plot .main-svg').first()).toBeVisible();
    expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined|Infinity|\[object/);
    await expectAccessible(page);
  }
  noErrors();
});

test('a number opens to its working', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Balance');
  for (const name of ['Neutral point', 'Centre of gravity', 'Static margin']) {
    await page.getByRole('button', { name: new RegExp(`^${name} .*show the working`) }).click();
    const sheet = page.getByRole('dialog', { name: `Working of ${name}` });
    await expect(sheet).toContainText('Result');
    for (const part of ['How sure', 'Holds for', 'Source']) await expect(sheet).toContainText(part);
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
  }
  await expectAccessible(page);
});

test('the whole path by keyboard: field, handle, undo, redo', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman');
  const incidence = field(page, 'Incidence');
  await incidence.focus();
  await page.keyboard.press('ArrowUp');
  await expect(incidence).toHaveValue('0.5');
  await incidence.fill('thin');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“thin” was not understood');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('alert')).toHaveCount(0);

  const place = page.getByRole('slider', { name: 'Wing position' });
  await place.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(place).toHaveAttribute('aria-valuenow', '201');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(place).toHaveAttribute('aria-valuenow', '190');
  await expect(incidence).toHaveValue('0');
  await page.keyboard.press('Control+Shift+z');
  await expect(incidence).toHaveValue('0.5');
});

test('a drag is one step back, and the pack slides on the beam', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Balance');
  const before = await beamNumbers(page);
  const pack = page.locator('[data-handle="beam-pack-place"]');
  await drag(page, pack, 60, 0);
  await expect.poll(() => beamNumbers(page)).not.toEqual(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => beamNumbers(page)).toEqual(before);
  // It stops at the end of its bay.
  await drag(page, pack, 900, 0);
  await expect(page.getByLabel('Pack 3 cells 1300 at')).toHaveValue('210');
});

test.describe('bad input is a sentence, never a blank screen', () => {
  for (const [label, typed, message] of [
    ['root chord', '-200', /between 5 mm and 3000 mm/],
    ['root chord', '2', /cannot be cut from board/],
    ['tip from root', '40 m', /about ten metres/],
    ['tip from root', '0', /root to tip|between/],
    ['Incidence', '80', /stalled/],
  ] as const) {
    test(`${label} ${typed}`, async ({ page }) => {
      await openDesign(page, 'Lagoon Postman');
      const before = await beamNumbers(page);
      const input = field(page, label);
      await input.fill(typed);
      await input.press('Enter');
      await expect(page.getByRole('alert')).toContainText(message);
      await expect(input).toHaveAttribute('aria-invalid', 'true');
      expect(await beamNumbers(page)).toEqual(before);
    });
  }
});

test('units switch everywhere and come back after a reload', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman');
  await page.getByLabel('Lengths in').selectOption('in');
  await page.getByLabel('Weights in').selectOption('oz');
  await page.getByLabel('Speeds in').selectOption('mph');
  await expect(page.locator('[data-number="beam-neutral"]')).toHaveText(/neutral 11 11\/16 in/);
  const chord = field(page, 'root chord');
  await chord.fill('13 3/8');
  await chord.press('Enter');
  await expect(chord).toHaveValue('13 3/8');
  await page.waitForTimeout(500);
  await page.reload();
  await expect(field(page, 'root chord')).toHaveValue('13 3/8');
});

test('a section comes in as plain coordinates, a bad file is refused', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Section');
  const input = page.getByLabel('File of section coordinates');
  await input.setInputFiles({ name: 'tale.txt', mimeType: 'text/plain', buffer: Buffer.from('once upon\na wing') });
  await expect(page.getByRole('alert')).toContainText('tale.txt was not taken. Line 2');
  const before = await beamNumbers(page);
  const lens = Array.from({ length: 41 }, (_, index) => {
    const x = Math.abs(1 - index / 20);
    return `${x} ${(index < 20 ? 0.24 : -0.08) * x * (1 - x)}`;
  }).join('\n');
  await input.setInputFiles({ name: 'lens.dat', mimeType: 'text/plain', buffer: Buffer.from(`Lens\n${lens}`) });
  await expect(page.getByLabel('Built as', { exact: true })).toHaveValue('coordinates');
  await expect(page.getByText('8 % of chord, at 50 %')).toBeVisible();
  await expect.poll(() => beamNumbers(page)).not.toEqual(before);
});

test('measured angles, mixes and air are told on the stability stage', async ({ page }) => {
  await openDesign(page, 'Storm Courier', 'Stability');
  await expect(page.getByText('Roll left at the cruise trim')).toBeVisible();
  await openDesign(page, 'Lagoon Postman', 'Stability');
  await expect(page.getByTestId('air')).toContainText('down (drawn 5 ×)');
  await expect(page.getByTestId('air')).toContainText('without tail');
  await expect(page.getByText('Propeller air over the tail')).toBeVisible();
});

test('every design of the fleet is computed as the command line computes it', async ({ page }) => {
  await page.goto('/');
  const rows = page.locator('[data-design]');
  await expect(rows.first()).toBeVisible();
  const names = await rows.evaluateAll((elements) => elements.map((element) => element.getAttribute('data-design')!));
  expect(names.length).toBeGreaterThanOrEqual(16);
  for (const name of names.filter((_, index) => index % 4 === 0)) {
    await openDesign(page, name, 'Balance');
    await expect(page.getByTestId('verdict')).toContainText(/^Balances/);
    expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined|Infinity/);
  }
});
