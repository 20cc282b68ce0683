import { expect, type Page, test } from '@playwright/test';
import { withFullStorage } from './fullStorage';
import { openDesign } from './support';

const flights = (page: Page) => page.getByTestId('flights').locator('li');
const log = async (page: Page, deed: string) => {
  await page.getByRole('group', { name: 'What it did' }).getByRole('button', { name: deed, exact: true }).click();
  await page.getByRole('button', { name: 'Log the flight' }).click();
};

test('a full storage: a flight that cannot be kept is said, and what was pressed stays to be logged again', async ({
  page,
}) => {
  const full = await withFullStorage(page);
  await openDesign(page, 'Reef Surveyor', 'Field');
  await full(true);
  await log(page, 'wanders');
  await expect(page.getByText(/The flight was not logged: the browser’s storage is full/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'wanders', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await full(false);
  await page.getByRole('button', { name: 'Log the flight' }).click();
  await expect(flights(page)).toHaveCount(1);
});

test('two tabs at the field: a flight logged in one stands in the other, and is there when its tab is killed', async ({
  context,
}) => {
  const [one, other] = [await context.newPage(), await context.newPage()];
  for (const page of [one, other]) await openDesign(page, 'Lagoon Postman', 'Field');
  await expect(flights(other)).toHaveCount(3);
  await log(one, 'flexes');
  await expect(one.getByText('The flight is logged.')).toBeVisible();
  // Its process ends at once, as when the system needs its memory.
  const crashed = one.waitForEvent('crash');
  const ended = await context.newCDPSession(one);
  void ended.send('Page.crash').catch(() => undefined);
  await crashed;
  await expect(flights(other)).toHaveCount(4);
  await expect(flights(other).first()).toContainText('flexes');
  await other.reload();
  await expect(flights(other)).toHaveCount(4);
});
