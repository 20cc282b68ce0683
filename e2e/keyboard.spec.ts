import { expect, type Page, test } from '@playwright/test';
import { expectAccessible, expectSaved, field, openDesign, toStage } from './support';

/** Presses keys and counts them; a text is one key a letter. */
function keyboard(page: Page) {
  let count = 0;
  return {
    press: async (...keys: string[]) => {
      for (const key of keys) {
        count++;
        await page.keyboard.press(key);
      }
    },
    /** Alt and the arrow to the left: a browser without a window has no such key. */
    back: async () => {
      count++;
      await page.goBack();
    },
    count: () => count,
  };
}
const focused = (page: Page) => page.locator(':focus');

test('from the list to a changed chord and back in at most 25 keys', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Lagoon Postman', exact: true })).toBeVisible();
  const keys = keyboard(page);
  // Over the box by which it is chosen.
  await keys.press('Tab', 'Enter', 'Tab', 'Tab');
  await expect(focused(page)).toHaveText('Lagoon Postman');
  await keys.press('Enter');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await keys.press('Tab');
  await expect(focused(page)).toHaveText('Skip to the numbers');
  await keys.press('Enter', 'Tab');
  const at = focused(page);
  for (let group = 0; group < 6 && !(await at.textContent())!.includes('Stations'); group++) {
    await expect(at).toHaveText(/^Pass over /);
    await keys.press('Enter');
  }
  // Over the heading that folds the group.
  await keys.press('Tab', 'Tab');
  const chord = field(page, 'root chord');
  await expect(chord).toBeFocused();
  await keys.press('2', '2', '5', 'Enter');
  await expect(chord).toHaveValue('225');
  await keys.back();
  await expect(page.getByRole('heading', { name: 'Designs' })).toBeVisible();
  expect(keys.count()).toBeLessThanOrEqual(25);
  await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
  await expect(chord).toHaveValue('225');
});

test('what is typed is kept on going back, on another stage, on a press elsewhere; Escape alone drops it', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
  const chord = field(page, 'root chord');
  await chord.fill('221');
  await page.goBack();
  await page.getByRole('link', { name: 'Lagoon Postman', exact: true }).click();
  await expect(chord).toHaveValue('221');
  await chord.fill('222');
  await toStage(page, 'Tail');
  await toStage(page, 'Wing');
  await expect(chord).toHaveValue('222');
  await chord.fill('223');
  await page.getByTestId('drawing').click({ position: { x: 20, y: 20 } });
  await expect(chord).toHaveValue('223');
  await chord.fill('224');
  await chord.press('Escape');
  await expect(chord).toHaveValue('223');
  await expectSaved(page);
  // What cannot be taken is said, since the field is gone.
  await chord.fill('2');
  await page.goBack();
  await expect(page.getByText(/“2” was not taken: root chord must lie between/)).toBeVisible();
});

test('in a text the undo keys are the text’s own', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Weights');
  await page.getByRole('button', { name: /Paste/ }).click();
  const rows = page.getByRole('textbox', { name: 'Rows' });
  await rows.pressSequentially('name');
  await rows.press('Control+z');
  await expect(rows).not.toHaveValue('name');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('the list by keyboard: renaming takes the focus and gives it back, Escape leaves the name', async ({ page }) => {
  await page.goto('/');
  const pencil = page.getByRole('button', { name: 'Rename Lagoon Postman' });
  await pencil.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('New name of Lagoon Postman')).toBeFocused();
  await page.keyboard.type('Ferry');
  await page.keyboard.press('Escape');
  await expect(pencil).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Bay Ferry');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Rename Bay Ferry' })).toBeFocused();
  await page.getByRole('button', { name: 'Remove Bay Ferry' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Designs' })).toBeFocused();
});

const STAGES = ['Brief', 'Wing', 'Section', 'Tail', 'Rigging', 'Weights', 'Balance', 'Stability', 'Strength'];

test('a blank design at every stage, with sheets and menus open: axe finds nothing', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await expect(page.getByTestId('save-state')).toBeVisible();
  for (const stage of STAGES) {
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
    await expect(page.locator('body')).not.toContainText('could not be shown');
    await expectAccessible(page);
    expect(await page.locator('body').innerText()).not.toMatch(/NaN|undefined|Infinity|\[object/);
  }
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Brief' }).click();
  await page.getByRole('button', { name: 'Start from a design…' }).click();
  await expect(page.getByRole('menu')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  for (const sheet of [/^Revisions/, /^Shared/]) {
    const button = page.getByRole('banner').getByRole('button', { name: sheet });
    if ((await button.count()) === 0) continue;
    await button.click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(button).toBeFocused();
  }
});

test('number keys go to the stages, ? shows the keys, and what is typed stays typed', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  await page.keyboard.press('8');
  await expect(page).toHaveURL(/\/stability$/);
  await expect(page.getByTestId('traces')).toContainText('phugoid');
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/wing$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('go to one of the first stages');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const chord = field(page, 'root chord');
  await chord.fill('');
  await chord.pressSequentially('215');
  await chord.press('Enter');
  await expect(page).toHaveURL(/\/wing$/);
  await expect(chord).toHaveValue('215');
});

test('the findings open over the sheet from their line, by keyboard, and give the focus back', async ({ page }) => {
  await openDesign(page, 'Reef Surveyor', 'Wing');
  const strip = page.getByTestId('findings-strip');
  await expect(strip).toContainText(/Stop.*findings/);
  await strip.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('findings')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('findings')).toHaveCount(0);
  await expect(strip).toBeFocused();
});

test('a field, a part and a stage are found by their words', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Wing');
  const find = async (words: string) => {
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused();
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  };
  await find('greatest static');
  await expect(field(page, 'Greatest static margin')).toBeFocused();
  await expect(page).toHaveURL(/balance$/);
  await find('part receiver');
  await expect(field(page, 'Mass of Receiver')).toBeFocused();
  await page.keyboard.press('Control+k');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await find('stage tail');
  await expect(page).toHaveURL(/tail$/);
});
