import { mkdirSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { createApp } from '../server/app';
import { listenOn } from '../server/listen';

const FOLDER = 'docs/screenshots';

/** One picture a main view: file name, design, stage. */
const VIEWS: readonly (readonly [string, string, string])[] = [
  ['wing', 'Lagoon Postman', 'Wing'],
  ['tail', 'Gannet Vee', 'Tail'],
  ['weights', 'Reef Surveyor', 'Weights'],
  ['balance', 'Reef Surveyor', 'Balance'],
  ['stability', 'Tandem Ferry', 'Stability'],
];

/** Takes the pictures of docs/screenshots from the demo data, in a fresh browser. */
async function takeAll(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const server = createServer(createApp(join(process.cwd(), 'dist/app')));
  const address = `http://127.0.0.1:${await listenOn(server, 4571)}`;
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).waitFor();
  await page.screenshot({ path: join(FOLDER, 'designs.png') });
  for (const [name, design, stage] of VIEWS) {
    await page.goto(address);
    await page.getByRole('link', { name: design, exact: true }).click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
    await page.getByTestId('verdict').waitFor();
    await page.waitForTimeout(1500);
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  }
  await page.getByRole('button', { name: /^Neutral point .*show the working/ }).click();
  await page.waitForTimeout(300);
  await page.screenshot({ path: join(FOLDER, 'working.png') });
  await browser.close();
  server.close();
}

await takeAll();
