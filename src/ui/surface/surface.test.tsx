import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { choose, fill, Now, show } from '#/tests/render';
import { SurfaceStage } from './SurfaceStage';

const wing = (name: string) =>
  show(
    demoDesign(name),
    <Now
      of={(design) => (
        <SurfaceStage design={design} roles={['wing', 'secondWing', 'tipFin']} kinds={['wing']} empty="No wing yet." />
      )}
    />,
  );
const tail = (name: string) =>
  show(
    demoDesign(name),
    <Now
      of={(design) => (
        <SurfaceStage
          design={design}
          roles={['tailplane', 'vTail', 'canard', 'fin']}
          kinds={['tailplane', 'fin']}
          empty="No tail."
        />
      )}
    />,
  );

describe('wing', () => {
  test('span as typed, with its unit, is the span that is computed', async () => {
    const { hand, analysis } = await wing('lagoon-postman');
    await fill(hand, 'Span, projected', '1.3 m');
    await waitFor(() => expectWithin(analysis().reference.span, 1.3, 1e-4));
    await fill(hand, 'Span, projected', '48 in');
    await waitFor(() => expectWithin(analysis().reference.span, 1.2192, 1e-4));
  });

  test('dihedral is an angle or a rise: ten degrees of a 300 mm panel rise 52 mm', async () => {
    const { hand, design } = await wing('polly-drift');
    const panel = () => design().surfaces[0]!.stations;
    const length = panel()[1]!.distanceFromRoot - panel()[0]!.distanceFromRoot;
    await fill(hand, 'Dihedral panel 1', '10');
    await choose(hand, 'Dihedral as', 'rise');
    const rise = screen.getByRole<HTMLInputElement>('textbox', { name: 'Rise panel 1' });
    expect(Number(rise.value)).toBeCloseTo(length * Math.sin((10 * Math.PI) / 180), 1);
    await fill(hand, 'Rise panel 1', '0');
    expect(panel()[0]!.dihedral).toBe(0);
    await fill(hand, 'Rise panel 1', String(length + 5));
    expect(screen.getByRole('alert').textContent).toMatch(/must be less than the [\d.]+ mm of the panel/);
  });

  test('washout runs evenly to the tip', async () => {
    const { hand, design } = await wing('lagoon-postman');
    await fill(hand, 'Washout at the tip', '3');
    const { stations } = design().surfaces.find(({ role }) => role === 'wing')!;
    const length = stations.at(-1)!.distanceFromRoot;
    for (const { twist, distanceFromRoot } of stations) expect(twist).toBeCloseTo((-3 * distanceFromRoot) / length, 2);
  });
});

describe('controls', () => {
  test('added with the usual function, turned into another, linked and taken out', async () => {
    const { hand, design, analysis } = await wing('polly-drift');
    const controls = () => design().surfaces[0]!.controls;
    expect(controls()).toEqual([]);
    expect(analysis().lateral.rollFromAileron).toBeNull();
    const section = within(screen.getByRole('group', { name: 'Controls' }));
    await hand.click(section.getByRole('button', { name: 'Add' }));
    expect(controls()).toMatchObject([{ id: 'aileron', function: 'aileron' }]);
    await waitFor(() => expect(analysis().lateral.rollFromAileron!).toBeGreaterThan(0.1));
    await hand.click(section.getByRole('button', { name: /^aileron ?· 20° up, 20° down/ }));
    await choose(hand, 'Answers to', 'Flaperon');
    await fill(hand, 'From (of span)', '40');
    expect(controls()[0]).toMatchObject({ function: 'flaperon', from: 0.4 });
    await hand.click(section.getByRole('button', { name: 'Add linkage' }));
    // Arm 12 and horn 20 turn 45° of the servo into asin(12 sin 45°/20) = 25.1°.
    await fill(hand, 'Horn height', '20');
    await hand.click(await section.findByRole('button', { name: 'Take 25.1°' }));
    expect(controls()[0]).toMatchObject({ throwUp: 25.1, throwDown: 25.1 });
    await hand.click(section.getByRole('button', { name: 'Take aileron out' }));
    expect(controls()).toEqual([]);
  });

  test('a control that ends before it begins is refused', async () => {
    const { hand, design } = await wing('lagoon-postman');
    const before = design();
    const section = within(screen.getByRole('group', { name: 'Controls' }));
    await hand.click(section.getByRole('button', { name: /° up, / }));
    await fill(hand, 'To (of span)', '10');
    expect(screen.getByRole('alert').textContent).toMatch(/To \(of span\)/);
    expect(design()).toBe(before);
  });
});

describe('tail', () => {
  test('three schools side by side; the one that is taken gives what it promised', async () => {
    const { hand, design, analysis } = await tail('lagoon-postman');
    await fill(hand, 'Static margin', '14');
    await hand.click(screen.getByRole('button', { name: 'Compare' }));
    const table = within(await screen.findByTestId('tail-schools'));
    expect(table.getAllByRole('row')).toHaveLength(5);
    const row = table.getByRole('row', { name: /^What it must do/ });
    const area = Number(/([\d.]+) dm²/.exec(row.textContent!)![1]) / 100;
    await hand.click(table.getByRole('button', { name: 'Size it by what it must do' }));
    const tailplane = design().surfaces.find(({ role }) => role === 'tailplane')!;
    const half = tailplane.stations.reduce(
      (sum, station, index) =>
        index === 0
          ? 0
          : sum +
            ((station.chord + tailplane.stations[index - 1]!.chord) / 2) *
              (station.distanceFromRoot - tailplane.stations[index - 1]!.distanceFromRoot),
      0,
    );
    expectWithin((2 * half) / 1e6, area, 0.01);
    await waitFor(() => expectWithin(analysis().pitch.staticMargin, 0.14, 0.1));
  });

  test('a volume that is none is refused', async () => {
    const { hand } = await tail('lagoon-postman');
    await fill(hand, 'Tail volume', '9');
    expect(screen.getByRole('alert').textContent).toBe('Tail volume must lie between 0 and 3.');
  });
});
