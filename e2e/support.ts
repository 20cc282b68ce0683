import { expect, type Locator, type Page } from '@playwright/test';
import { AxeBuilder } from '@axe-core/playwright';
import { idOfDesign } from './designIds';

export const STAGES = [
  'Brief',
  'Wing',
  'Section',
  'Tail',
  'Rigging',
  'Weights',
  'Balance',
  'Stability',
  'Strength',
  'Power',
  'Plans',
  'Glider',
  'Bench',
  'Field',
  'Compare',
];

/** Opens a demo design by name, at a stage. */
export async function openDesign(page: Page, name: string, stage?: string): Promise<void> {
  const id = idOfDesign(name);
  await page.goto(id ? `/design/${id}/${(stage ?? 'Wing').toLowerCase()}` : '/');
  if (!id) await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await openAllGroups(page);
  if (stage && !id) await toStage(page, stage);
}

/** Drags a handle by pixels, in small steps as a hand does. */
export async function drag(page: Page, handle: Locator, dx: number, dy: number): Promise<void> {
  const box = (await handle.boundingBox())!;
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 10; step++) await page.mouse.move(x + (dx * step) / 10, y + (dy * step) / 10);
  await page.mouse.up();
}

/** The numbers on the beam as text. */
export async function beamNumbers(page: Page): Promise<string[]> {
  const texts = await Promise.all(
    ['beam-balance', 'beam-neutral', 'beam-margin'].map((id) => page.locator(`[data-number="${id}"]`).textContent()),
  );
  return texts.map((text) => text ?? '');
}

/** Waits until everything that was typed lies in the browser's storage. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-state')).toHaveText('Saved in this browser');
}

/** Axe finds nothing on the page as it is: looked at in the page itself, which has no frames, and told what is wrong alone. */
export async function expectAccessible(page: Page): Promise<void> {
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await axe.analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
}

/** Collects errors of the page; call the result at the end. */
export function watchErrors(page: Page): () => void {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return () => expect(errors).toEqual([]);
}

/** An input by its whole label. */
export function field(page: Page, label: string): Locator {
  return page.getByRole('textbox', { name: label, exact: true });
}

/** Goes to a stage by the list at the side. */
export async function toStage(page: Page, stage: string): Promise<void> {
  const inBar = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage });
  const all = page.getByRole('button', { name: 'All', exact: true });
  if (await inBar.isVisible()) await inBar.click();
  else {
    await all.click();
    await page.getByRole('dialog', { name: 'Stages' }).getByRole('link', { name: stage }).click();
  }
  await expect(inBar).toHaveAttribute('aria-current', 'page');
}

/** Opens a choice by its label and takes the option that reads so. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Does what a hand does and counts it: clicks, fields, drags. */
export function counting(page: Page) {
  let count = 0;
  return {
    click: async (name: string | RegExp, role: 'button' | 'link' | 'menuitem' = 'button') => {
      count++;
      await page.getByRole(role, { name }).first().click();
    },
    type: async (label: string, value: string) => {
      count++;
      await field(page, label).fill(value);
      await page.keyboard.press('Enter');
    },
    choose: async (label: string, value: string) => {
      count++;
      await choose(page, label, value);
    },
    drag: async (handle: string, dx: number, dy: number) => {
      count++;
      await drag(page, page.locator(`[data-handle="${handle}"]`), dx, dy);
    },
    stage: async (stage: string) => {
      count++;
      await toStage(page, stage);
    },
    count: () => count,
  };
}

/** Opens the findings over the sheet, or folds them into their line at the beam. */
export async function toggleFindings(page: Page): Promise<void> {
  await page.getByTestId('findings-strip').click();
}

/** Opens every group of inputs; this browser remembers it. */
export async function openAllGroups(page: Page): Promise<void> {
  const open = page.getByRole('button', { name: 'Open all groups' });
  await expect(open.or(page.getByRole('button', { name: 'Fold what is rarely needed' }))).toBeVisible();
  if (await open.isVisible()) await open.click();
}
