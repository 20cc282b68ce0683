import { defineConfig } from '@playwright/test';
import { SEEDED } from './e2e/seededPath';

const PORT = 4391;

export default defineConfig({
  testDir: 'e2e',
  workers: 2,
  fullyParallel: true,
  // Several times what the longest test takes on a quiet machine.
  timeout: 90_000,
  expect: { timeout: 20_000 },
  retries: process.env['CI'] ? 1 : 0,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ?? '.cache/results/browser.json' }],
  ],
  outputDir: '.cache/browser',
  globalSetup: './e2e/seeded.ts',
  use: {
    storageState: SEEDED,
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
    trace: 'off',
    actionTimeout: 20_000,
  },
  webServer: {
    command: `node dist/node/server.js --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}`,
    reuseExistingServer: false,
  },
});
