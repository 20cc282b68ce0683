import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { show } from '#/tests/render';
import { blankDesign } from '@/core/2-document/starts';
import { setFields } from '@/store/edit';
import { StabilitySheet } from './StabilitySheet';
import { StabilityStage } from './StabilityStage';

// The chart needs a canvas; the browser tests look at it.

const fact = (label: string | RegExp) => screen.getByText(label).parentElement!.textContent!;

describe('stability', () => {
  test('every layout: whole sentences and numbers, or why there is none', async () => {
    for (const name of DEMO_NAMES) {
      await show(demoDesign(name), <StabilityStage />);
      const text = document.body.textContent!;
      expect(text, name).not.toMatch(/NaN|undefined|Infinity|\[object|null/);
      expect(screen.getByTestId('verdicts').children.length, name).toBeGreaterThan(3);
      cleanup();
    }
  });

  test('an empty sheet says what is missing', async () => {
    await show(blankDesign('New'), <StabilityStage />);
    expect(document.body.textContent).toMatch(/no wing/i);
  });

  test('wetted areas by surface, in the units of the user', async () => {
    const { analysis } = await show(demoDesign('lagoon-postman'), <StabilityStage />);
    const table = within(screen.getByTestId('wetted'));
    const { surfaces } = analysis().wetted;
    expect(surfaces.length).toBeGreaterThan(2);
    expect(table.getAllByRole('row')).toHaveLength(1 + surfaces.length);
    const first = table.getAllByRole('row')[1]!.textContent!;
    expect(first).toContain(`${(surfaces[0]!.area * 100).toFixed(2)} dm²`);
    expect(first).toContain(`${Math.round(surfaces[0]!.reynolds / 1000)} 000`);
  });

  test('plain words follow the numbers: less fin, and it wanders', async () => {
    const { dispatch, design, analysis } = await show(demoDesign('lagoon-postman'), <StabilityStage />);
    const straight = () => within(screen.getByTestId('verdicts')).getByText(/^Straight on, it/).textContent!;
    const before = straight();
    const fin = design().surfaces.find(({ role }) => role === 'fin')!;
    dispatch(
      setFields(fin.stations.flatMap((_, index) => [field('surfaces', fin.id, 'stations', index, 'chord').to(12)])),
    );
    await waitFor(() => expect(analysis().lateral.yawStiffness!).toBeLessThan(0.02));
    await waitFor(() => expect(straight()).not.toBe(before));
  });

  test('elevons share their throw; a tailplane does not', async () => {
    await show(demoDesign('storm-courier'), <StabilityStage />);
    expect(fact('Roll left at the cruise trim')).toMatch(/\d+ %$/);
    expect(fact(/^Pitch left with half, full roll/)).toMatch(/\d+ %, \d+ %$/);
    cleanup();
    await show(demoDesign('lagoon-postman'), <StabilityStage />);
    expect(screen.queryByText('Roll left at the cruise trim')).toBeNull();
  });

  test('propeller air: in front it blows on the tail, behind it does not', async () => {
    await show(demoDesign('lagoon-postman'), <StabilityStage />);
    expect(fact('Propeller air over the tail')).toMatch(/\d+ % of it, 1\.\d+ × pressure/);
  });

  test('a measured difference of left and right shows the trim that it asks for', async () => {
    const { dispatch } = await show(demoDesign('lagoon-postman'), <StabilityStage />);
    expect(screen.queryByText(/^Left–right difference/)).toBeNull();
    const side = (incidence: number) => ({ incidence, tipTwist: 0 });
    dispatch(setFields([field('surfaces', 'wing', 'asBuilt').to({ left: side(1.5), right: side(2.5) })]));
    await waitFor(() => expect(fact(/^Left–right difference/)).toMatch(/−?\d+\.\d+°, −?\d+\.\d+°/));
  });
});

describe('the sheet of traces', () => {
  test('each motion by its plain word and its standard name, with what it does', async () => {
    const { analysis } = await show(demoDesign('lagoon-postman'), <StabilitySheet />);
    const sheet = screen.getByTestId('traces');
    for (const term of ['short period', 'phugoid', 'roll subsidence', 'Dutch roll', 'spiral', 'weathercock stability'])
      expect(sheet.textContent, term).toContain(term);
    const roll = analysis().motion.lateral.find(({ kind }) => kind === 'roll')!;
    const trace = screen.getByRole('img', { name: /^Roll after a flick, roll subsidence: halves in/ });
    expect(trace.getAttribute('aria-label')).toContain(roll.timeToHalf! < 1 ? roll.timeToHalf!.toFixed(2) : '');
  });

  test('every layout draws without a number that is none; nothing to draw says why', async () => {
    for (const name of DEMO_NAMES) {
      await show(demoDesign(name), <StabilitySheet />);
      expect(document.body.innerHTML, name).not.toMatch(/NaN|undefined|Infinity/);
      cleanup();
    }
    await show(blankDesign('New'), <StabilitySheet />);
    expect(document.body.textContent).toMatch(/no wing/i);
  });
});
