import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { createApp } from '../server/app';
import { listenOn } from '../server/listen';

const STEPS = 120;

/** Drags the wing tip and measures, in the page, from each pointer event to the redrawn beam, and the frames meanwhile. */
export async function measureDrag(print: (line: string) => void): Promise<void> {
  const server = createServer(createApp(join(process.cwd(), 'dist/app')));
  const port = await listenOn(server, 4471);
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`http://127.0.0.1:${port}/`);
    await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
    await page.locator('[data-number="beam-neutral"]').waitFor();
    await page.waitForTimeout(1500);
    const result = await page.evaluate(dragInPage, STEPS);
    print('drag of the wing tip in headless Chromium');
    print(
      `  pointer event to redrawn beam: ${result.median.toFixed(1)} median, ${result.worst.toFixed(1)} 90th percentile ms over ${result.count} changes`,
    );
    print(
      `  frames while dragging: ${result.framesPerSecond.toFixed(0)} a second, longest ${result.longestFrame.toFixed(0)} ms`,
    );
  } finally {
    await browser.close();
    server.close();
  }
}

/** Runs in the page: it cannot use anything from outside. */
async function dragInPage(steps: number) {
  const handle = document.querySelector('[data-handle="wing-tip"]')!;
  const beam = document.querySelector('[data-testid="beam"]')!;
  const box = handle.getBoundingClientRect();
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  handle.setPointerCapture = () => {};
  const fire = (type: string, dx: number, dy: number) =>
    handle.dispatchEvent(
      new PointerEvent(type, {
        clientX: x + dx,
        clientY: y + dy,
        pointerId: 1,
        button: 0,
        bubbles: true,
        cancelable: true,
      }),
    );
  const nextFrame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
  const delays: number[] = [];
  const frames: number[] = [];
  let sent = 0;
  const observer = new MutationObserver(() => {
    if (sent > 0) delays.push(performance.now() - sent);
    sent = 0;
  });
  observer.observe(beam, { subtree: true, childList: true, characterData: true, attributes: true });
  fire('pointerdown', 0, 0);
  let last = await nextFrame();
  const start = last;
  for (let step = 1; step <= steps; step++) {
    if (sent === 0) sent = performance.now();
    fire('pointermove', 20 * Math.sin(step / 9), -step / 3);
    const now = await nextFrame();
    frames.push(now - last);
    last = now;
  }
  const total = last - start;
  await new Promise((resolve) => setTimeout(resolve, 300));
  fire('pointerup', 0, -steps / 3);
  observer.disconnect();
  delays.sort((a, b) => a - b);
  return {
    median: delays[Math.floor(delays.length / 2)] ?? Number.NaN,
    worst: delays[Math.floor(delays.length * 0.9)] ?? Number.NaN,
    count: delays.length,
    framesPerSecond: (1000 * frames.length) / total,
    longestFrame: Math.max(...frames),
  };
}
