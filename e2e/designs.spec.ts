import { expect, test } from '@playwright/test';
import { expectAccessible, watchErrors } from './support';
import { unreadable } from './geometry';

test('five hundred designs are found, sorted and scrolled without a stop', async ({ page }) => {
  const noErrors = watchErrors(page);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Lagoon Postman', exact: true })).toBeVisible();
  // The rows of the fleet, many times over, as they lie in the storage.
  await page.evaluate(async () => {
    const open = indexedDB.open('inclinar');
    await new Promise((done) => (open.onsuccess = done));
    const table = open.result.transaction('designs', 'readwrite').objectStore('designs');
    const all: IDBRequest<{ id: string; name: string; design: { name: string } }[]> = table.getAll();
    await new Promise((done) => (all.onsuccess = done));
    for (let index = 0; index < 496; index++) {
      const row = all.result[index % all.result.length]!;
      // The rows lie in no order of ours: each gets copies 0 to 30.
      const name = `${row.name} copy ${Math.floor(index / all.result.length)}`;
      table.put({ ...row, id: `copy-${index}`, name, design: { ...row.design, name } });
    }
    await new Promise((done) => (table.transaction.oncomplete = done));
  });
  await page.reload();
  await expect(page.getByRole('searchbox', { name: 'Find by name or tag' })).toHaveAttribute(
    'placeholder',
    'Find among 512',
  );
  const rows = page.locator('[data-design]');
  // Rows are drawn as far as one has scrolled, never the whole list at once.
  await expect(rows).toHaveCount(40);
  for (const count of [80, 120, 160]) {
    await page.locator('main').evaluate((main) => (main.scrollTop = main.scrollHeight));
    await expect(rows).toHaveCount(count);
  }
  await page.getByRole('searchbox').fill('postman 7');
  // Copies 7, 17 and 27.
  await expect(rows).toHaveCount(3);
  await page.getByRole('searchbox').fill('heron');
  await expect(rows).toHaveCount(32);
  noErrors();
});

for (const width of [1280, 390]) {
  test(`the list can be read at ${width} px, chosen from and compared; axe finds nothing`, async ({ page }) => {
    await page.setViewportSize({ width, height: 844 });
    await page.goto('/');
    await expect(page.locator('[data-design="Tideline Plank"]')).toContainText(/Balances/);
    expect(await unreadable(page)).toEqual([]);
    await page.getByRole('checkbox', { name: 'Choose Lagoon Postman' }).click();
    await page.getByRole('checkbox', { name: 'Choose Heron Canard' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Compare' }).click();
    await expect(page.getByRole('dialog').getByRole('row', { name: /^Span/ })).toContainText('1198.4 mm');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByRole('link', { name: 'Heron Canard', exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: 'Heron Canard', exact: true })).toBeVisible();
  });
}
