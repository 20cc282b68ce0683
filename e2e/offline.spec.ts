import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { expect, test } from '@playwright/test';
import { toStage } from './support';

const PORT = 4392;
test.use({ serviceWorkers: 'allow', baseURL: `http://127.0.0.1:${PORT}`, storageState: undefined });

let server: ChildProcess;
test.beforeAll(async () => {
  server = spawn(process.execPath, ['dist/node/server.js', '--port', String(PORT)], { stdio: 'ignore' });
  for (let tries = 0; tries < 50; tries++) {
    const isUp = await fetch(`http://127.0.0.1:${PORT}/about.json`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((done) => setTimeout(done, 200));
  }
  throw new Error('The server does not come up.');
});
test.afterAll(() => void server.kill());

test('after the first visit it opens with its server off: the list, a stage by its address, its numbers, a flight that is logged', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Lagoon Postman', exact: true })).toBeVisible();
  await expect(page.getByText(/opens here without its server too/)).toBeVisible({ timeout: 60_000 });
  const gone = once(server, 'exit');
  server.kill();
  await gone;
  await page.reload();
  await page.getByRole('link', { name: 'Reef Surveyor', exact: true }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await toStage(page, 'Field');
  const address = page.url();
  await page.goto(address);
  const told = page.getByRole('group', { name: 'What it should do' });
  await expect(told.getByText(/^\d+(\.\d)? m\/s$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'flew well' }).click();
  await page.getByRole('button', { name: 'Log the flight' }).click();
  await expect(page.getByRole('button', { name: /^1\. flew well/ })).toBeVisible();
  await page.goto(address);
  await expect(page.getByRole('button', { name: /^1\. flew well/ })).toBeVisible();
  // What has to be fetched at the press is there as well.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Field card (PDF, one page)' }).click();
  expect((await download).suggestedFilename()).toBe('Reef Surveyor field card.pdf');
});
