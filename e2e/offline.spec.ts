import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { field, toStage } from './support';

const PORT = 4392;
test.use({ serviceWorkers: 'allow', baseURL: `http://127.0.0.1:${PORT}`, storageState: undefined });

/** Starts the built app of a folder, and waits until it answers. */
async function serve(folder: string, port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, [join(folder, 'node/server.js'), '--port', String(port)], { stdio: 'ignore' });
  for (let tries = 0; tries < 50; tries++) {
    const isUp = await fetch(`http://127.0.0.1:${port}/about.json`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (isUp) return server;
    await new Promise((done) => setTimeout(done, 200));
  }
  throw new Error('The server does not come up.');
}

test('after the first visit it opens with its server off: the list, a stage by its address, its numbers, a flight that is logged', async ({
  page,
}) => {
  const server = await serve('dist', PORT);
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

test('a newer build waits until someone asks for it: a page that is open keeps its own, and loses nothing that was typed', async ({
  page,
}, info) => {
  const folder = info.outputPath('dist');
  cpSync('dist', folder, { recursive: true });
  const server = await serve(folder, PORT + 1);
  const home = `http://127.0.0.1:${PORT + 1}/`;
  try {
    await page.goto(home);
    await expect(page.getByText(/opens here without its server too/)).toBeVisible({ timeout: 60_000 });
    await page.getByRole('link', { name: 'Reef Surveyor', exact: true }).click();
    await expect(page.getByTestId('verdict')).toBeVisible();
    const address = page.url();
    // The next build: another page, and a worker that knows of it.
    const [index, worker] = ['index.html', 'sw.js'].map((name) => join(folder, 'app', name)) as [string, string];
    writeFileSync(index, readFileSync(index, 'utf8').replace('</head>', '<meta name="build" content="next" /></head>'));
    const known = /(url:"index\.html",revision:)"\w+"/;
    expect(readFileSync(worker, 'utf8')).toMatch(known);
    writeFileSync(worker, readFileSync(worker, 'utf8').replace(known, '$1"next"'));
    await page.reload();
    const offer = page.getByText('A newer Inclinar is here.');
    await expect(offer).toBeVisible({ timeout: 60_000 });
    // Until then the old one goes on.
    await expect(page.locator('meta[name="build"]')).toHaveCount(0);
    await field(page, 'root chord').fill('231');
    await field(page, 'root chord').press('Enter');
    await page.getByRole('button', { name: 'Use it' }).click();
    await expect(page.locator('meta[name="build"]')).toHaveCount(1, { timeout: 30_000 });
    await page.goto(address);
    await expect(field(page, 'root chord')).toHaveValue('231');
  } finally {
    server.kill();
  }
});
