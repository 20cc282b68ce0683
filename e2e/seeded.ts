import { chromium, expect, type FullConfig } from '@playwright/test';
import { SEEDED } from './seededPath';
import { openAllGroups } from './support';

/** Visits once, so that each test begins where a returning designer does. */
export default async function seed({ projects }: FullConfig): Promise<void> {
  const { baseURL, launchOptions } = projects[0]!.use;
  const browser = await chromium.launch(launchOptions);
  const page = await browser.newPage({ baseURL });
  await page.goto('/');
  // What the list tells of each design is computed once and kept.
  await expect(page.locator('[data-design="Tideline Plank"]')).toContainText(/Balances/, { timeout: 60_000 });
  await expect(page.locator('[data-design]').getByText('Computing')).toHaveCount(0, { timeout: 60_000 });
  await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
  await openAllGroups(page);
  await expect(page.getByTestId('save-state')).toHaveText('Saved in this browser');
  await page.context().storageState({ path: SEEDED, indexedDB: true });
  await browser.close();
}
