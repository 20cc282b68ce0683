import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beamNumbers, drag, expectSaved, field, openDesign, watchErrors, toggleFindings } from './support';

test('from a drawn aircraft to a verdict: drag, type, read, mend, reload, export, import', async ({ page }, info) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Reef Surveyor');
  const start = await beamNumbers(page);

  // Drag the wing tip outboard: everything follows.
  const tip = page.locator('[data-handle="wing-tip"]');
  const lengthBefore = Number(await tip.getAttribute('aria-valuenow'));
  await drag(page, tip, 12, -30);
  await expect.poll(async () => Number(await tip.getAttribute('aria-valuenow'))).toBeGreaterThan(lengthBefore + 20);
  // The last of the drag is computed whole a little later than what was shown on the way.
  await expect.poll(async () => (await beamNumbers(page))[2]).not.toBe(start[2]);
  await expect.poll(async () => (await beamNumbers(page))[1]).not.toBe(start[1]);
  const dragged = await beamNumbers(page);

  // Type a chord, in inches.
  const chord = field(page, 'root chord');
  await chord.fill('9 1/2 in');
  await chord.press('Enter');
  await expect(chord).toHaveValue('241.3');
  await expect.poll(() => beamNumbers(page)).not.toEqual(dragged);

  // Read the finding and take its remedy; the beam previews it first.
  await toggleFindings(page);
  const finding = page.locator('[data-finding="balanceAft"]');
  await expect(finding).toContainText('behind the window');
  await expect(page.getByTestId('verdict')).toContainText('too far back');
  const remedy = finding.getByRole('button', { name: /Slide Pack/ });
  await expect(remedy).toBeEnabled();
  await remedy.hover();
  await expect(page.getByText(/^Preview: Slide Pack/)).toBeVisible();
  await remedy.click();
  await expect(finding).toHaveCount(0);
  await expect(page.getByTestId('verdict')).toHaveText('Balances inside its window');
  await toggleFindings(page);
  const mended = await beamNumbers(page);

  // Reload: all is there.
  await expectSaved(page);
  await page.reload();
  await expect(page.getByTestId('verdict')).toHaveText('Balances inside its window');
  expect(await beamNumbers(page)).toEqual(mended);
  await expect(field(page, 'root chord')).toHaveValue('241.3');

  // Export, remove, import: the same numbers, to the last digit those of the command line.
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  const file = info.outputPath('exported.json');
  await (await waiting).saveAs(file);
  await page.getByRole('link', { name: 'Inclinar' }).click();
  await page.getByRole('button', { name: 'Remove Reef Surveyor' }).click();
  await expect(page.getByRole('link', { name: 'Reef Surveyor', exact: true })).toHaveCount(0);
  await page.getByLabel('Design files to import').setInputFiles(file);
  await page.getByRole('link', { name: 'Reef Surveyor', exact: true }).click();
  await expect.poll(() => beamNumbers(page)).toEqual(mended);

  const printed = JSON.parse(execFileSync(process.execPath, ['dist/node/analyse.js', file], { encoding: 'utf8' })) as {
    mass: { cg: number[] };
    pitch: { neutralPoint: number; staticMargin: number };
  };
  const inWorker = await page.evaluate(
    async (text) => {
      const answer = await (
        window as unknown as { inclinar: { analyse: (text: string) => Promise<unknown> } }
      ).inclinar.analyse(text);
      return JSON.stringify(answer);
    },
    readFileSync(file, 'utf8'),
  );
  // Two engines may differ in the sixteenth digit of a sine; every digit that is ever shown is the same.
  const seen = JSON.parse(inWorker) as typeof printed;
  expect(seen.mass.cg).toEqual(printed.mass.cg);
  expect(seen.pitch.neutralPoint).toBeCloseTo(printed.pitch.neutralPoint, 13);
  expect(seen.pitch.staticMargin).toBeCloseTo(printed.pitch.staticMargin, 12);
  expect(mended[0]).toBe(`balances ${Math.round(printed.mass.cg[0]! * 1000)} mm`);
  expect(mended[1]).toBe(`neutral ${Math.round(printed.pitch.neutralPoint * 1000)} mm`);
  noErrors();
});
