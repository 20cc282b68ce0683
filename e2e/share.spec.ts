import { expect, test } from '@playwright/test';
import { decode } from './decodeCode';
import { expectAccessible, openDesign } from './support';

test('a design goes to another browser by a link, with its log, and is taken in when someone says so', async ({
  page,
  browser,
  baseURL,
}) => {
  await openDesign(page, 'Lagoon Postman', 'Field');
  await page.getByRole('button', { name: 'Picture or print' }).click();
  await page.getByRole('menuitem', { name: 'Send to another device' }).click();
  const dialog = page.getByRole('dialog', { name: /^Send Lagoon Postman/ });
  await expect(dialog.getByRole('img', { name: 'Code that holds the link' })).toBeVisible();
  await expectAccessible(page);
  // What a camera reads is the link itself.
  const link = await dialog.getByRole('textbox', { name: 'Link' }).inputValue();
  expect(await decode(dialog.getByRole('img', { name: 'Code that holds the link' }))).toBe(link);
  await dialog.getByRole('checkbox', { name: /^With its flights/ }).check();
  await expect(dialog.getByRole('textbox', { name: 'Link' })).not.toHaveValue(link);
  const withLog = await dialog.getByRole('textbox', { name: 'Link' }).inputValue();

  const other = await browser.newContext({ baseURL: baseURL!, storageState: { cookies: [], origins: [] } });
  const there = await other.newPage();
  await there.goto(withLog);
  await expect(there.getByRole('heading', { name: 'Lagoon Postman' })).toBeVisible();
  await expect(there.getByText(/3 flights and tosses on record/)).toBeVisible();
  await expectAccessible(there);
  await there.getByRole('button', { name: 'Take it in' }).click();
  await expect(there.getByTestId('verdict')).toContainText('Balances inside its window');
  await expect(there.getByText('14.3 %').first()).toBeVisible();
  await there.goto(`${withLog.slice(0, -40)}`);
  await there.reload();
  await expect(there.getByRole('alert')).toContainText('cut or changed on its way');
  await other.close();
});
