import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible, openDesign, toStage, watchErrors } from './support';

test('the wing bends under a pull of its own and a speed of its own, the boom beside it', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Gannet Vee', 'Strength');
  const pulls = page.getByRole('slider', { name: 'Pulls' });
  const flies = page.getByRole('slider', { name: 'Flies' });
  const tip = page.getByText(/^tip [\d.]+ mm up/);
  const millimetres = async () => Number(/tip ([\d.]+)/.exec((await tip.textContent())!)![1]);
  const most = await millimetres();
  await pulls.press('Home');
  await expect(pulls).toHaveAttribute('aria-valuetext', '1 × its weight');
  const level = await millimetres();
  expect(level).toBeLessThan(most / 3);
  const fast = (await flies.getAttribute('aria-valuetext'))!;
  await flies.press('Home');
  expect(parseFloat((await flies.getAttribute('aria-valuetext'))!)).toBeLessThan(parseFloat(fast));
  await expect(page.getByRole('group', { name: /^Wing of Gannet Vee under 1 times/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Boom' }).click();
  await expect(page.getByRole('group', { name: 'Fuselage of Gannet Vee as it bends' })).toBeVisible();
  await expect(page.getByText(/^tail turned [\d.]+° nose right/)).toBeVisible();
  await expectAccessible(page);
  noErrors();
});

test('of two wings each is chosen, and each of its members has its curve and its name', async ({ page }) => {
  await openDesign(page, 'Harbour Steward', 'Strength');
  await expect(page.getByRole('group', { name: /^Upper wing of Harbour Steward under/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Lower wing' }).click();
  const lower = page.getByRole('group', { name: /^Lower wing of Harbour Steward under/ });
  await expect(lower).toBeVisible();
  for (const member of ['paper', 'core']) await expect(lower.getByText(new RegExp(`^${member} \\d+ %$`))).toBeVisible();
  await page.getByRole('radio', { name: 'Boom' }).click();
  await expect(page.getByRole('group', { name: /as it bends$/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Upper wing' }).click();
  await expect(page.getByRole('group', { name: /^Upper wing of Harbour Steward under/ })).toBeVisible();
});

test('a sheet is saved as a picture of its own, and prints with its name and numbers', async ({ page }) => {
  await openDesign(page, 'Gannet Vee', 'Strength');
  await page.getByRole('button', { name: 'Picture or print' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save a picture of this sheet' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Gannet Vee strength.svg');
  const text = readFileSync(await file.path(), 'utf8');
  const seen = await page.evaluate((svg) => {
    const { documentElement } = new DOMParser().parseFromString(svg, 'image/svg+xml');
    return { root: documentElement.tagName, words: documentElement.textContent, marks: svg.match(/var\(|class=/g) };
  }, text);
  expect(seen).toMatchObject({ root: 'svg', marks: null });
  expect(seen.words).toMatch(/bending.*of its limit.*stiffness/s);
  expect(text).toContain('rgb(42, 44, 48)');

  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
  await expect(page.getByText('Yaw command turns round')).toBeVisible();
  const numbers = await page.locator('#numbers').evaluate((panel) => panel.scrollHeight - panel.clientHeight);
  expect(numbers).toBeLessThan(2);
});

/** What stands last on the sheet of a stage that is taller than a small screen. */
const LAST_ON_SHEET = [
  ['Wing', 'Reynolds'],
  ['Section', 'Drag, N'],
  ['Rigging', 'Angle of attack of the datum, °'],
  ['Strength', 'stiffness'],
  ['Power', 'Speed, m/s'],
  ['Glider', 'Ahead of the start, m'],
] as const;

for (const viewport of [
  { width: 390, height: 844 },
  { width: 844, height: 390 },
]) {
  test.describe(`${viewport.width} × ${viewport.height}`, () => {
    test.use({ viewport });

    test('what a sheet has no room for is reached by scrolling it', async ({ page }) => {
      const noErrors = watchErrors(page);
      await openDesign(page, 'Gannet Vee', 'Strength');
      const strips = page.getByTestId('sheet');
      for (const name of ['bending', 'of its limit', 'twist', 'stiffness']) {
        const strip = strips.getByText(name, { exact: true });
        await strip.scrollIntoViewIfNeeded();
        await expect(strip).toBeInViewport({ ratio: 1 });
      }
      await expectAccessible(page);
      for (const [stage, last] of LAST_ON_SHEET) {
        await toStage(page, stage);
        const region = strips.getByRole('region').first();
        const text = strips.getByText(last, { exact: true }).last();
        await expect(text, stage).not.toBeInViewport();
        await region.focus();
        await region.press('End');
        await expect(text, stage).toBeInViewport({ ratio: 1 });
        // Nothing below the foot of the paper.
        const belowFoot = () =>
          region.evaluate((element) => {
            const feet = [...element.querySelectorAll('svg')].map((svg) => svg.getBoundingClientRect().bottom);
            return Math.abs(element.getBoundingClientRect().bottom - Math.max(...feet));
          });
        await expect.poll(belowFoot, { message: stage }).toBeLessThan(8);
      }
      noErrors();
    });
  });
}
