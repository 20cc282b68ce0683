import 'fake-indexeddb/auto';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { fill, Now, show } from '#/tests/render';
import { undone } from '@/store/documentSlice';
import { BenchFields } from './BenchFields';
import { PowerStage } from './PowerStage';
import { formatDuration } from './formatDuration';
import { thrustAt } from './thrustAt';

const fact = (label: string) => screen.getByText(label).parentElement!.textContent!;
const stage = (name: string) => show(demoDesign(name), <Now of={(design) => <PowerStage design={design} />} />);

describe('the stage', () => {
  test('a cell less lasts no longer and climbs slower; undone it is as before', async () => {
    const { analysis, hand, dispatch } = await stage('lagoon-postman');
    const before = analysis().power;
    expect(fact('Lasts, a fifth left')).toContain(formatDuration(before.duration!));
    expect(fact('Propeller turns')).toMatch(/\d0 rev\/min$/);
    await fill(hand, 'Cells', '2');
    await waitFor(() => expect(analysis().power.climbRate!).toBeLessThan(before.climbRate! - 1));
    dispatch(undone());
    await waitFor(() => expect(analysis().power.climbRate).toBe(before.climbRate));
  });

  test('a motor that nobody described is described; what is typed wrong is refused and lost nowhere', async () => {
    const { analysis, hand, design } = await stage('tern-tender');
    expect(fact('Climbs at most')).toMatch(/Nothing is known of the motor/);
    await hand.click(screen.getByRole('button', { name: 'Describe the motor' }));
    await waitFor(() => expect(fact('Climbs at most')).toMatch(/Nothing is known of the pack/));
    await hand.click(screen.getByRole('button', { name: 'Describe the pack' }));
    await waitFor(() => expect(analysis().power.climbRate).not.toBeNull());
    await fill(hand, 'Winding, mΩ', '85');
    await waitFor(() => expect(design().propulsion[0]!.motor!.resistance).toBeCloseTo(0.085, 9));
    await fill(hand, 'Cells', '0');
    expect(design().propulsion[0]!.pack!.cells).toBe(3);
    expect(screen.getByRole('textbox', { name: 'Cells' }).getAttribute('aria-invalid')).toBe('true');
    await fill(hand, 'Pitch', '600');
    await waitFor(() => expect(fact('Climbs at most')).toMatch(/over twice its diameter/));
  });

  test('a glider is offered a drive', async () => {
    const { hand, design } = await stage('polly-drift');
    await hand.click(screen.getByRole('button', { name: 'Drive' }));
    await waitFor(() => expect(design().propulsion).toHaveLength(1));
    expect(screen.getByRole('textbox', { name: 'Propeller ∅' })).toBeTruthy();
  });
});

test.each([
  [44.6, '45 s'],
  [60, '1 min'],
  [390, '6 min 30 s'],
  [1802, '30 min'],
  [7500, '2 h 5 min'],
])('%f seconds are %s', (seconds, words) => expect(formatDuration(seconds)).toBe(words));

test('thrust at a throttle lies between those that are known, none at nought', () => {
  const [thrusts, throttles] = [
    [1, 4],
    [0.5, 1],
  ] as const;
  expect(thrustAt(thrusts, throttles, 0)).toBe(0);
  expect(thrustAt(thrusts, throttles, 0.25)).toBeCloseTo(0.5, 12);
  expect(thrustAt(thrusts, throttles, 0.75)).toBeCloseTo(2.5, 12);
  expect(thrustAt(thrusts, throttles, 1)).toBe(4);
});

test('the first number of a bench test begins it, and it counts', async () => {
  const design = demoDesign('lagoon-postman');
  const { hand, design: now } = await show(
    design,
    <Now of={({ propulsion: [drive] }) => <BenchFields drive={drive!} />} />,
  );
  expect(design.propulsion[0]!.benchTest).toBeUndefined();
  await fill(hand, 'rev/min', '9000');
  await waitFor(() => expect(now().propulsion[0]!.benchTest).toEqual({ turns: 9000 }));
  await fill(hand, 'Thrust', '640');
  await waitFor(() => expect(now().propulsion[0]!.benchTest).toEqual({ turns: 9000, thrust: 640 }));
});
