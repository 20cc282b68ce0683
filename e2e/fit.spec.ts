import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { expect, type Page, test } from '@playwright/test';
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
/** A plain one, and one with everything on its wing; one with a V-tail is looked at with axe. The campaign takes them all. */
const FEW = ['lagoon-postman', 'tideline-plank'];
const files = readdirSync('demo').filter((file) => file.endsWith('.json'));
const names = files
  .filter((file) => process.env['CAMPAIGN'] || FEW.includes(file.replace('.json', '')))
  .map((file) => /"name": "([^"]*)"/.exec(readFileSync(`demo/${file}`, 'utf8'))![1]!);

/** What of a stage that is open cannot be read, in each of its views. */
async function faultsAt(page: Page, stage: string): Promise<string[]> {
  await expect(page.getByTestId('sheet')).toBeVisible();
  if (stage === 'Tail') await expect(page.locator('[data-testid=tail-map][data-filled=false]')).toHaveCount(0);
  const faults = (await unreadable(page)).map((fault) => `${stage}: ${fault}`);
  for (const view of ['Plan and side', 'Boom']) {
    const choice = page.getByRole('radio', { name: view });
    if (!(await choice.isVisible())) continue;
    await choice.click();
    faults.push(...(await unreadable(page)).map((fault) => `${stage}, ${view}: ${fault}`));
  }
  expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined|Infinity|\[object/);
  return faults;
}

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
          faults.push(...(await faultsAt(page, stage)));
          if (index === 0 && width === 390 && ON_PHONE.includes(stage)) await expectAccessible(page);
        }
        expect(faults).toEqual([]);
        noErrors();
      });
    }
  });
}

// A few stages at a time: axe reads every element, and no test should take long.
for (const stages of [STAGES.slice(0, 5), STAGES.slice(5, 10), STAGES.slice(10)]) {
  test(`axe finds nothing at ${stages.join(', ')}, and each can be read`, async ({ page }) => {
    await openDesign(page, 'Gannet Vee', stages[0]);
    for (const stage of stages) {
      await toStage(page, stage);
      expect(await faultsAt(page, stage)).toEqual([]);
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
