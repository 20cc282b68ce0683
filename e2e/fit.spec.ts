import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { expect, test } from '@playwright/test';
import { STAGES, expectAccessible, openDesign, toStage, watchErrors } from './support';
import { unreadable } from './geometry';

/** Stages whose phone layout differs most from one another. */
const ON_PHONE = ['Weights'];

const SCREENS = [
  [1280, 800],
  [1024, 768],
  [390, 844],
  [844, 390],
] as const;
/** A plain one, one with a V-tail, one with everything on its wing; the campaign takes them all. */
const FEW = ['lagoon-postman', 'gannet-vee', 'tideline-plank'];
const files = readdirSync('demo').filter((file) => file.endsWith('.json'));
const names = files
  .filter((file) => process.env['CAMPAIGN'] || FEW.includes(file.replace('.json', '')))
  .map((file) => /"name": "([^"]*)"/.exec(readFileSync(`demo/${file}`, 'utf8'))![1]!);

for (const [width, height] of SCREENS) {
  test.describe(`${width} × ${height}`, () => {
    test.use({ viewport: { width, height } });
    // Every aircraft on a large screen; on the others one stands for all but in the campaign.
    const shown = width < 1280 && !process.env['CAMPAIGN'] ? names.slice(0, 1) : names;
    for (const [index, name] of shown.entries()) {
      test(`${name}: each stage can be read, is not wider than the screen, has numbers that are numbers`, async ({
        page,
      }) => {
        const noErrors = watchErrors(page);
        await openDesign(page, name);
        const faults: string[] = [];
        for (const stage of STAGES) {
          await toStage(page, stage);
          await expect(page.getByTestId('sheet')).toBeVisible();
          if (stage === 'Tail') await expect(page.locator('[data-testid=tail-map][data-filled=false]')).toHaveCount(0);
          faults.push(...(await unreadable(page)).map((fault) => `${stage}: ${fault}`));
          const plan = page.getByRole('radio', { name: 'Plan and side' });
          if (await plan.isVisible()) {
            await plan.click();
            faults.push(...(await unreadable(page)).map((fault) => `${stage}, plan: ${fault}`));
          }
          const boom = page.getByRole('radio', { name: 'Boom' });
          if (stage === 'Strength' && (await boom.isVisible())) {
            await boom.click();
            faults.push(...(await unreadable(page)).map((fault) => `${stage}, boom: ${fault}`));
          }
          expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined|Infinity|\[object/);
          if (index === 0 && width === 390 && ON_PHONE.includes(stage)) await expectAccessible(page);
        }
        expect(faults).toEqual([]);
        noErrors();
      });
    }
  });
}

// A few stages at a time: axe reads every element, and no test should take long.
for (const stages of [STAGES.slice(0, 3), STAGES.slice(3, 6), STAGES.slice(6)]) {
  test(`axe finds nothing at ${stages.join(', ')}`, async ({ page }) => {
    await openDesign(page, 'Gannet Vee', stages[0]);
    for (const stage of stages) {
      await toStage(page, stage);
      await expect(page.getByTestId('sheet')).toBeVisible();
      await expectAccessible(page);
    }
  });
}

test('the main script is small: bench, charts and space come when they are shown', () => {
  const html = readFileSync('dist/app/index.html', 'utf8');
  const [, path] = /<script[^>]*src="([^"]+)"/.exec(html)!;
  const bytes = gzipSync(readFileSync(`dist/app${path}`)).length;
  expect(bytes).toBeLessThan(250_000);
});
