import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { unzipSync } from 'fflate';
import { drag, expectAccessible, openDesign, toStage, watchErrors } from './support';

test('every part lies on its sheet, is looked at by keyboard, and follows the wing', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Gannet Vee', 'Plans');
  const sheet = page.getByRole('group', { name: /^Faced board 5 mm 1 with \d+ parts/ });
  await expect(sheet).toBeVisible();
  const skin = page.getByRole('button', { name: 'Wing, skin', exact: true }).first();
  await skin.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Wing, skin' })).toBeVisible();
  await expectAccessible(page);
  const long = () => page.getByRole('group', { name: 'Wing, skin' }).getByText(/mm$/).first().textContent();
  const before = await long();
  await toStage(page, 'Wing');
  const span = page.getByRole('textbox', { name: /^Span/ }).first();
  await span.fill('800');
  await span.press('Enter');
  await toStage(page, 'Plans');
  await expect.poll(long).not.toBe(before);
  noErrors();
});

test('pages, drawings and tables come as one archive; drawings measure in a browser what they should', async ({
  page,
}) => {
  await openDesign(page, 'Gannet Vee', 'Plans');
  await expect(page.getByRole('group', { name: /^Faced board 5 mm 1 with/ })).toBeVisible({ timeout: 60_000 });
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'All (ZIP)' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Gannet Vee plans.zip');
  const files = unzipSync(new Uint8Array(readFileSync(await file.path())));
  const names = Object.keys(files);
  expect(names.filter((name) => name.endsWith('.dxf')).length).toBeGreaterThan(1);
  expect(Buffer.from(files['Gannet Vee.pdf']!.slice(0, 5)).toString()).toBe('%PDF-');
  expect(Buffer.from(files['Gannet Vee cut list.csv']!).toString()).toMatch(/^part,count/);
  const svg = Buffer.from(files[names.find((name) => name.endsWith('board 5 mm sheet 1.svg'))!]!).toString();
  const measured = await page.evaluate((text) => {
    const { documentElement } = new DOMParser().parseFromString(text, 'image/svg+xml');
    document.body.append(documentElement);
    const root = documentElement as unknown as SVGSVGElement;
    const ruler = root.querySelector('#ruler path') as SVGPathElement;
    const pixels = ruler.getBoundingClientRect().width;
    return { units: ruler.getTotalLength(), millimetres: (pixels / 96) * 25.4 };
  }, svg);
  expect(measured.units).toBeCloseTo(100, 3);
  expect(measured.millimetres).toBeCloseTo(100, 1);
});

test('a part is laid by hand: dragged, by arrows, turned; it says where it clashes, the rest stays, undone it is as it was', async ({
  page,
}) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Gannet Vee', 'Plans');
  await expect(page.getByRole('group', { name: /^Faced board 5 mm 1 with/ })).toBeVisible({ timeout: 60_000 });
  const part = page.getByRole('button', { name: /^Fuselage, tray/ }).first();
  const other = page.locator('[data-part]').first();
  const box = async (of = part) => (await of.boundingBox())!;
  // Laid out to the end, and the bench as wide as it stays.
  await expect(page.getByRole('progressbar', { name: 'Parts laid out' })).toBeHidden();
  const start = await box();
  await part.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('button', { name: 'Lay out anew' })).toBeVisible();
  await expect.poll(async () => (await box()).x).toBeGreaterThan(start.x + 2);
  await expect(page.getByRole('progressbar', { name: 'Parts laid out' })).toBeHidden();
  const still = await box(other);
  await page.keyboard.press('r');
  await page.keyboard.press('ArrowUp');
  await drag(page, part, 0, 60);
  await expect(page.getByRole('button', { name: /^Fuselage, tray, lies on another/ })).toBeVisible();
  await expect.poll(async () => Math.abs((await box(other)).x - still.x)).toBeLessThan(1);
  await expectAccessible(page);
  for (let step = 0; step < 4; step++) await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Lay out anew' })).toBeHidden();
  await expect.poll(async () => Math.abs((await box()).x - start.x)).toBeLessThan(1);
  noErrors();
});

test('kerf, play and prices are typed by board; scale is chosen; at 390 px everything is there', async ({ page }) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Lagoon Postman', 'Plans');
  const cutting = page.getByRole('group', { name: 'Faced board 5 mm' });
  await cutting.getByRole('textbox', { name: /^Kerf/ }).fill('12');
  await cutting.getByRole('textbox', { name: /^Kerf/ }).press('Enter');
  await expect(page.getByText(/must lie between 0 mm and 10 mm/).first()).toBeVisible();
  await cutting.getByRole('textbox', { name: /^Kerf/ }).fill('0.2');
  await cutting.getByRole('textbox', { name: /^Kerf/ }).press('Enter');
  const price = page.getByRole('textbox', { name: /^Glue, 100 g/ });
  await price.fill('4');
  await price.press('Enter');
  await expect(page.getByText('What is known costs')).toBeVisible();
  await page.getByRole('combobox', { name: 'Scale' }).click();
  await page.getByRole('option', { name: '1 : 4' }).click();
  await expect(page.getByRole('group', { name: /1 with \d+ parts/ }).first()).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'DXF' }).click();
  await download;
  await page.setViewportSize({ width: 390, height: 844 });
  await expectAccessible(page);
  noErrors();
});

test('laying out is stopped within a fifth of a second and goes on when asked', async ({ page }) => {
  const noErrors = watchErrors(page);
  // Pressed as soon as it is there, and timed by the page itself.
  await page.addInitScript(() => {
    const seen = new MutationObserver(() => {
      const cancel = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Cancel');
      if (!cancel) return;
      seen.disconnect();
      const start = performance.now();
      new MutationObserver((_, ended) => {
        if (document.querySelector('progress')) return;
        ended.disconnect();
        document.body.dataset['stoppedAfter'] = String(performance.now() - start);
      }).observe(document.body, { childList: true, subtree: true });
      cancel.click();
    });
    document.addEventListener('DOMContentLoaded', () =>
      seen.observe(document.body, { childList: true, subtree: true }),
    );
  });
  await openDesign(page, 'Heron Canard', 'Plans');
  await expect(page.getByText('Stopped: nothing is laid out.')).toBeVisible();
  expect(Number(await page.locator('body').getAttribute('data-stopped-after'))).toBeLessThan(200);
  await page.getByRole('button', { name: 'Lay out', exact: true }).click();
  await expect(page.getByRole('group', { name: /with \d+ parts/ })).toBeVisible();
  noErrors();
});
