import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { type Browser, chromium, expect, type Page, test } from '@playwright/test';
import { field } from './support';

/** How often the browser is killed: once here, twenty times in a campaign. */
const KILLS = Number(process.env['KILLS'] ?? 1);
/** What was typed so long ago must be there [ms]. */
const SAFE_AFTER = 500;

/** A browser with a profile on disk, in a process of its own that can be killed. */
async function launch(profile: string): Promise<{ browser: Browser; page: Page; kill: () => Promise<void> }> {
  const portFile = join(profile, 'DevToolsActivePort');
  rmSync(portFile, { force: true });
  const child: ChildProcess = spawn(
    process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    [
      '--headless=new',
      '--no-sandbox',
      '--disable-dev-shm-usage',
      '--no-first-run',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { stdio: 'ignore', detached: true },
  );
  await expect.poll(() => existsSync(portFile) && readFileSync(portFile, 'utf8').includes('\n')).toBe(true);
  const [port] = readFileSync(portFile, 'utf8').split('\n');
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const page = await browser.contexts()[0]!.newPage();
  return {
    browser,
    page,
    kill: async () => {
      const ended = new Promise((resolve) => child.once('exit', resolve));
      // The browser and all that it started, at once and without a word.
      process.kill(-child.pid!, 'SIGKILL');
      await ended;
      await browser.close().catch(() => undefined);
    },
  };
}

test(`a browser that is killed loses at most the last half second, ${KILLS} times`, async ({ baseURL }, info) => {
  test.setTimeout(60_000 + 45_000 * KILLS);
  const profile = info.outputPath('profile');
  let kept = 210;
  for (let round = 0; round < KILLS; round++) {
    const { page, kill } = await launch(profile);
    await page.goto(baseURL!);
    await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
    const chord = field(page, 'root chord');
    await expect(chord).toHaveValue(String(kept));
    // A hand that goes on typing until the moment of the kill.
    for (let edit = 0; edit <= round % 4; edit++) {
      kept = 200 + ((round * 7 + edit * 3 + 1) % 60);
      await chord.fill(String(kept));
      await chord.press('Enter');
    }
    await page.waitForTimeout(SAFE_AFTER);
    await chord.fill('199');
    await chord.press('Enter');
    // That last one may be there or not; what came before must be.
    await kill();
    const again = await launch(profile);
    await again.page.goto(baseURL!);
    await again.page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
    const value = await field(again.page, 'root chord').inputValue();
    expect([String(kept), '199']).toContain(value);
    kept = Number(value);
    await expect(again.page.getByTestId('verdict')).toContainText(/Balances|balances/);
    await again.kill();
  }
});
