import { spawn } from 'node:child_process';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { createApp } from '../server/app';
import { listenOn } from '../server/listen';
import { median } from './timing';

const STEPS = 120;

/** A page of the built app with the demo data in it. */
async function withPage(job: (page: Page) => Promise<void>): Promise<void> {
  const server = createServer(createApp(join(process.cwd(), 'dist/app')));
  const port = await listenOn(server, 4471);
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`http://127.0.0.1:${port}/`);
    await page.locator('[data-design]').first().waitFor();
    await job(page);
  } finally {
    await browser.close();
    server.close();
  }
}

/** What is dragged at each stage: a handle of its own sheet, or the pack on the beam. */
const DRAGS = [
  ['Brief', 'beam-pack-place'],
  ['Wing', 'wing-tip'],
  ['Section', 'beam-pack-place'],
  ['Tail', 'tailplane-on-map'],
  ['Rigging', 'wing-incidence'],
  ['Weights', 'pack-place'],
  ['Balance', 'lever-pack'],
  ['Stability', 'beam-pack-place'],
  ['Strength', 'beam-pack-place'],
  ['Power', 'beam-pack-place'],
] as const;

/** Drags a handle of every stage and measures, in the page, from each pointer event to the redrawn beam, and the frames meanwhile; then again while something else keeps a core busy. */
export async function measureDrag(print: (line: string) => void): Promise<void> {
  await withPage(async (page) => {
    await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
    await page.locator('[data-number="beam-neutral"]').waitFor();
    await page.waitForTimeout(SETTLED);
    for (const isBusy of [false, true]) {
      print(`drags in headless Chromium, everything live${isBusy ? ', one core busy with something else' : ''}`);
      const other = isBusy ? spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' }) : null;
      try {
        for (const [stage, handle] of DRAGS) await dragAt(page, stage, handle, print);
      } finally {
        other?.kill();
      }
    }
  });
}

/** Until what is worked out after an edit is done [ms]. */
const SETTLED = 3000;

/** Drags after the first that are measured; what is told is the middle one of them. */
const AGAIN = 3;

/** Drags several times: the first time much of what runs is still being compiled, and what else the machine does in two seconds is not the app's. */
async function dragAt(page: Page, stage: string, handle: string, print: (line: string) => void): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
  const drag = async () => {
    await page.waitForTimeout(SETTLED);
    const result = await page.evaluate(dragInPage, { steps: STEPS, handle });
    await page.keyboard.press('Control+z');
    return result;
  };
  const first = await drag();
  const others = [];
  for (let turn = 0; turn < AGAIN; turn++) others.push(await drag());
  others.sort((one, other) => one.meanFrame - other.meanFrame);
  const result = others[(AGAIN - 1) / 2]!;
  const perSecond = ({ meanFrame }: { readonly meanFrame: number }) => (1000 / meanFrame).toFixed(0);
  print(
    `  ${stage.padEnd(9)} ${handle.padEnd(18)} ${perSecond(result)} frames a second (${perSecond(first)} the first time, then ${others.map(perSecond).join(', ')}), ${result.medianFrame.toFixed(1)} median, ${result.longestFrame.toFixed(0)} longest ms; to the redrawn beam ${result.median.toFixed(1)} median, ${result.worst.toFixed(1)} 90th percentile ms over ${result.count} changes`,
  );
}

const ROUNDS = 7;

/** Opening a design without and with many records, and the list without and with many designs, taking turns in one browser. */
export async function measureStorage(print: (line: string) => void): Promise<void> {
  await withPage(async (page) => {
    /** From the click on a link to what it leads to, in the page [ms]. */
    const follow = (name: string, wanted: string) => page.evaluate(followInPage, { name, wanted });
    const round = async () => {
      const spent = { open: [] as number[], list: [] as number[] };
      for (let turn = 0; turn < ROUNDS; turn++) {
        spent.open.push(await follow('Lagoon Postman', '[data-number="beam-neutral"]'));
        spent.list.push(await follow('Inclinar', '[data-design]'));
      }
      return spent;
    };
    const openField = async () => {
      const spent: number[] = [];
      await follow('Lagoon Postman', '[data-number="beam-neutral"]');
      for (let turn = 0; turn < ROUNDS; turn++) {
        spent.push(await follow('field', '[data-testid="flights"] li'));
        await follow('balance', '[data-handle="lever-pack"]');
      }
      await follow('Inclinar', '[data-design]');
      return median(spent);
    };
    const few = await round();
    const threeFlights = await openField();
    await page.evaluate(fillInPage, { name: 'Lagoon Postman', designs: 1000, revisions: 100, flights: 1000 });
    await page.reload();
    await page.locator('[data-design]').first().waitFor();
    const many = await round();
    const allFlights = await openField();
    print('storage in headless Chromium, click to first numbers or rows');
    print(
      `  the field: ${threeFlights.toFixed(0)} median ms to its flights; with 1000 of them ${allFlights.toFixed(0)}; ratio ${(allFlights / threeFlights).toFixed(2)}`,
    );
    print(
      `  opening a design: ${median(few.open).toFixed(0)} median ms; with 100 revisions and 1000 flights ${median(many.open).toFixed(0)}; ratio ${(median(many.open) / median(few.open)).toFixed(2)}`,
    );
    print(
      `  list of designs: ${median(few.list).toFixed(0)} median ms to the first rows; of 1000 ${median(many.list).toFixed(0)}; ratio ${(median(many.list) / median(few.list)).toFixed(2)}`,
    );
  });
}

/** Runs in the page: it cannot use anything from outside. */
function followInPage({ name, wanted }: { name: string; wanted: string }): Promise<number> {
  const link = [...document.querySelectorAll('a')].find(
    (entry) => entry.textContent?.trim() === name || entry.pathname.endsWith(`/${name}`),
  )!;
  return new Promise((resolve) => {
    const start = performance.now();
    const observer = new MutationObserver(() => {
      if (!document.querySelector(wanted)) return;
      observer.disconnect();
      resolve(performance.now() - start);
    });
    observer.observe(document.body, { subtree: true, childList: true });
    link.click();
  });
}

interface Filling {
  readonly name: string;
  readonly designs: number;
  readonly revisions: number;
  readonly flights: number;
}

/** Runs in the page: copies of a design, and records beside it, written as the app writes them. */
async function fillInPage({ name, designs, revisions, flights }: Filling): Promise<void> {
  const done = <Result>(request: IDBRequest<Result>) =>
    new Promise<Result>((resolve, reject) => {
      request.addEventListener('success', () => resolve(request.result));
      request.addEventListener('error', () => reject(request.error));
    });
  const database = await done(indexedDB.open('inclinar'));
  const transaction = database.transaction(['designs', 'revisions', 'flights', 'bodies'], 'readwrite');
  const rows = await done(transaction.objectStore('designs').getAll() as IDBRequest<Record<string, unknown>[]>);
  const first = rows.find((row) => row['name'] === name)!;
  for (let index = rows.length; index < designs; index++)
    transaction.objectStore('designs').put({
      ...first,
      id: `copy-${index}`,
      name: `Copy ${index}`,
      updatedAt: Number(first['updatedAt']) - index * 1e5,
    });
  const designId = first['id'];
  const at = (index: number) => new Date(1.7e12 + index * 1e7).toISOString();
  for (let index = 0; index < revisions; index++) {
    const id = `revision-${index}`;
    transaction.objectStore('revisions').put({ designId, id, at: at(index), name: `State ${index}`, notes: '' });
    transaction.objectStore('bodies').put({ designId, kind: 'revisions', id, body: first['design'] });
  }
  for (let index = 0; index < flights; index++)
    transaction.objectStore('flights').put({
      designId,
      id: `flight-${index}`,
      at: at(index),
      revision: `revision-${index % revisions}`,
      mass: 500,
      trims: [],
      changed: '',
      verdict: 'same',
      did: ['turnsLeft'],
      runs: [{ kind: 'level', from: 'hand', speed: 12, pitch: (index % 7) / 10, roll: 0.5 }],
      pack: '',
      ticked: [],
      notes: 'Level, a little left.',
    });
  await new Promise((resolve, reject) => {
    transaction.addEventListener('complete', resolve);
    transaction.addEventListener('error', reject);
  });
  database.close();
}

/** Runs in the page: it cannot use anything from outside. */
async function dragInPage({ steps, handle: id }: { readonly steps: number; readonly handle: string }) {
  const handle = document.querySelector(`[data-handle="${id}"]`)!;
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
        buttons: type === 'pointerup' ? 0 : 1,
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
  for (let step = 1; step <= steps; step++) {
    if (sent === 0) sent = performance.now();
    fire('pointermove', 20 * Math.sin(step / 9), -step / 6);
    const now = await nextFrame();
    frames.push(now - last);
    last = now;
  }
  await new Promise((resolve) => setTimeout(resolve, 300));
  fire('pointerup', 0, -steps / 6);
  observer.disconnect();
  delays.sort((a, b) => a - b);
  return {
    median: delays[Math.floor(delays.length / 2)] ?? Number.NaN,
    worst: delays[Math.floor(delays.length * 0.9)] ?? Number.NaN,
    count: delays.length,
    meanFrame: frames.reduce((sum, frame) => sum + frame, 0) / frames.length,
    medianFrame: [...frames].sort((a, b) => a - b)[Math.floor(frames.length / 2)]!,
    longestFrame: Math.max(...frames),
  };
}
