import { mkdirSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { createApp } from '../server/app';
import { listenOn } from '../server/listen';

const FOLDER = 'docs/screenshots';

interface View {
  readonly file: string;
  readonly design: string;
  readonly stage: string;
  /** What the hand does before the picture is taken. */
  readonly prepare?: (page: Page) => Promise<unknown>;
}

const press = (name: string | RegExp) => (page: Page) => page.getByRole('button', { name }).first().click();
const look = (name: string) => (page: Page) => page.getByRole('radio', { name }).click();

/** One picture a main view. */
const VIEWS: readonly View[] = [
  {
    file: 'brief',
    design: 'Lagoon Postman',
    stage: 'Brief',
    prepare: async (page) => {
      await press('Draw three layouts')(page);
      await page.locator('[data-layout]').nth(2).waitFor();
    },
  },
  { file: 'wing', design: 'Lagoon Postman', stage: 'Wing' },
  { file: 'section', design: 'Gannet Vee', stage: 'Section' },
  {
    file: 'tail',
    design: 'Harbour Steward',
    stage: 'Tail',
    prepare: async (page) => {
      await press('Compare')(page);
      await page.getByTestId('tail-schools').waitFor();
      await page.locator('[data-testid="tail-map"][data-filled="true"]').waitFor();
    },
  },
  { file: 'rigging', design: 'Lagoon Postman', stage: 'Rigging' },
  { file: 'weights', design: 'Reef Surveyor', stage: 'Weights' },
  { file: 'balance', design: 'Reef Surveyor', stage: 'Balance' },
  { file: 'stability', design: 'Storm Courier', stage: 'Stability' },
  { file: 'strength', design: 'Polly Drift', stage: 'Strength' },
  { file: 'power', design: 'Lagoon Postman', stage: 'Power' },
  {
    file: 'plans',
    design: 'Atoll Freighter',
    stage: 'Plans',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Wing, panel 2, skin', exact: true }).first().click();
    },
  },
  {
    file: 'glider',
    design: 'Kittiwake Winglet',
    stage: 'Glider',
    prepare: async (page) => {
      await page.getByRole('combobox', { name: 'Beside it, changed' }).click();
      await page.getByRole('option', { name: 'balance aft by' }).click();
      await page.getByText(/^Changed it/).waitFor();
    },
  },
  {
    file: 'field',
    design: 'Lagoon Postman',
    stage: 'Field',
    prepare: async (page) => {
      await look('flight 1')(page);
      const cause = page.getByText(/^Lay a shim of/);
      await cause.waitFor();
      await cause.scrollIntoViewIfNeeded();
    },
  },
  {
    file: 'compare',
    design: 'Lagoon Postman',
    stage: 'Compare',
    prepare: async (page) => {
      await press('Build it 1,000 times')(page);
      await page.locator('[data-chance="firstThrow"]').waitFor({ timeout: 120_000 });
    },
  },
  {
    file: 'bench',
    design: 'Lagoon Postman',
    stage: 'Bench',
    prepare: async (page) => {
      await look('Gates')(page);
      for (const [side, read] of [
        ['left', '1.9'],
        ['right', '1.2'],
      ] as const) {
        const field = page.getByRole('textbox', { name: `Along the chord, ${side}` });
        await field.fill(read);
        await field.press('Enter');
      }
      await page.getByText(/^Not yet: /).waitFor();
    },
  },
  {
    file: 'working',
    design: 'Lagoon Postman',
    stage: 'Stability',
    prepare: press(/^Neutral point, whole .*show the working|^Neutral point .*show the working/),
  },
  {
    file: 'revisions',
    design: 'Lagoon Postman',
    stage: 'Wing',
    prepare: async (page) => {
      await press(/^Revisions/)(page);
      await page.getByLabel('Name of this state').fill('Before the longer wing');
      await press('Keep it')(page);
      await press('Close')(page);
      await page.getByRole('textbox', { name: 'Span, projected' }).fill('1400');
      await page.keyboard.press('Enter');
      await press(/^Revisions/)(page);
      await press('Compare')(page);
      await page.getByTestId('comparison').waitFor();
    },
  },
];

/** On a phone: picture on top, inputs under it, stages at the foot. */
const PHONE = { width: 390, height: 844 };
const ON_PHONE = ['field'];

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
  await page
    .locator('[data-design="Tideline Plank"]')
    .getByText(/Balances/)
    .waitFor();
  await page.screenshot({ path: join(FOLDER, 'designs.png') });
  for (const { file, design, stage, prepare } of VIEWS) {
    await page.goto(address);
    await page.getByRole('link', { name: design, exact: true }).click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
    await page.getByTestId('verdict').waitFor();
    await page.waitForTimeout(1200);
    await prepare?.(page);
    await page.waitForTimeout(800);
    await page.screenshot({ path: join(FOLDER, `${file}.png`) });
  }
  // With a storage of its own: what was tried above is not shown on it.
  const phone = await browser.newPage({ viewport: PHONE });
  await phone.goto(address);
  await phone.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
  for (const stage of ON_PHONE) {
    await phone.getByTestId('verdict').waitFor();
    await phone.goto(phone.url().replace(/[^/]+$/, stage));
    await phone.getByTestId('verdict').waitFor();
    await phone.waitForTimeout(3000);
    await phone.screenshot({ path: join(FOLDER, `phone-${stage}.png`) });
  }
  await browser.close();
  server.close();
}

await takeAll();
