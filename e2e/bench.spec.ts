import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, openDesign, watchErrors } from './support';

test('a gate of the build order is read: off it is shimmed and holds up the glue, right it is passed; undo takes it back', async ({
  page,
}) => {
  const noErrors = watchErrors(page);
  await openDesign(page, 'Lagoon Postman', 'Bench');
  const gate = page.getByRole('status', { name: 'Gate of Wing' });
  await expect(gate).toContainText('To be read: 0.00°');
  const read = async (side: 'left' | 'right', value: string) => {
    const field = page.getByRole('textbox', { name: `Along the chord, ${side}` });
    await field.fill(value);
    await field.press('Enter');
  };
  await read('left', '2.2');
  await read('right', '2.2');
  await expect(gate).toContainText(/^Not yet: .* under the trailing edge on the left/);
  const glue = page.getByRole('checkbox', { name: /Wing in its place/ });
  await glue.click();
  await expect(page.getByText(/The gate of Wing is not green/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Not yet' }).click();
  await read('left', '0');
  await read('right', '0.1');
  await expect(gate).toContainText('Right as it is');
  await glue.click();
  await expect(glue).toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(gate).toContainText('Not yet');
  noErrors();
});

test.describe('by the phone itself', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a face is read twice, turned between; without a sensor it says so', async ({ page }) => {
    await openDesign(page, 'Lagoon Postman', 'Bench');
    const read = page.getByRole('button', { name: 'Read left by this phone' }).first();
    await read.tap();
    await expect(page.getByText('This device shows no tilt. Type the reading.')).toBeVisible();
    await read.tap();
    const sensor = await page.context().newCDPSession(page);
    /** Laid down and left alone: a browser tells of a change only. */
    const lie = async (...angles: readonly number[]) => {
      for (const beta of angles) {
        await sensor.send('DeviceOrientation.setDeviceOrientationOverride', { alpha: 0, beta, gamma: 4 });
        await page.waitForTimeout(80);
      }
    };
    await lie(8, 3.2, 2.9);
    await expect(page.getByText(/^Now turn it end for end/)).toBeVisible();
    await expectAccessible(page);
    await lie(60, -40, -2.4, -2.1);
    await expect(page.getByText(/^Read 2\.5°; the phone shows 0\.4[0-9]?° when level/)).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Along the chord, left' })).toHaveValue('2.5');
  });
});

/** Reads one side of a gate by the made-up meter. */
async function readMadeUp(page: Page, step: ReturnType<Page['locator']>, side: 'left' | 'right'): Promise<void> {
  await step.getByRole('button', { name: `Read ${side} by the made-up meter` }).click();
  await page.getByRole('button', { name: 'Turn it round' }).click();
  await expect(step.getByRole('button', { name: `Read ${side} by the made-up meter` })).toBeVisible();
}

test('a whole build is rehearsed: made-up errors are read by made-up meters, shimmed and glued when green', async ({
  page,
}) => {
  test.slow();
  const noErrors = watchErrors(page);
  await openDesign(page, 'Tideline Plank', 'Bench');
  await page.getByRole('button', { name: 'Rehearse on a copy' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the design' })).toHaveValue('Tideline Plank copy');
  await expect(page.getByRole('button', { name: 'End the rehearsal' })).toBeVisible();
  const gates = page.getByRole('listitem').filter({ has: page.getByRole('status', { name: /^Gate of / }) });
  await expect(gates.first()).toBeVisible();
  await expectAccessible(page);
  const count = await gates.count();
  expect(count).toBeGreaterThan(1);
  for (let index = 0; index < count; index++) {
    const gate = gates.nth(index);
    const verdict = gate.getByRole('status', { name: /^Gate of / });
    const read = async () => {
      for (const side of ['left', 'right'] as const)
        if ((await gate.getByRole('button', { name: `Read ${side} by` }).count()) > 0)
          await readMadeUp(page, gate, side);
      await expect(verdict).toContainText(/^(Right as it is|Not yet|Stop)/);
      return verdict.textContent();
    };
    let said = await read();
    for (let turn = 0; turn < 4 && !said?.startsWith('Right'); turn++) {
      await gate.getByRole('button', { name: /^(The shims are in|Taken apart and set anew)$/ }).click();
      await expect(verdict).toContainText(/^To be read/);
      said = await read();
    }
    await expect(verdict).toContainText(/^Right as it is/);
  }
  await page.getByRole('button', { name: 'End the rehearsal' }).click();
  await expect(page.getByRole('button', { name: 'Rehearse on a copy' })).toBeVisible();
  noErrors();
});
