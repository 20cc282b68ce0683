import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, fill, Now, show } from '#/tests/render';
import { RiggingStage } from '../rigging/RiggingStage';
import { WeightsStage } from '../weights/WeightsStage';
import { MixesSection } from './MixesSection';

const mixes = (name: string) => show(demoDesign(name), <Now of={(design) => <MixesSection design={design} />} />);
const rigging = (name: string) => show(demoDesign(name), <Now of={(design) => <RiggingStage design={design} />} />);

describe('mixes', () => {
  test('show what follows a stick; one side changed is the design’s own, and can be taken back', async () => {
    const { hand, design, analysis } = await mixes('lagoon-postman');
    await choose(hand, 'Stick', 'Roll stick, right');
    const shown = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name }).value;
    expect([shown('Aileron, left'), shown('Aileron, right'), shown('Elevator, left')]).toEqual(['100', '−100', '0']);
    const before = analysis().lateral.rollFromAileron!;
    await fill(hand, 'Aileron, right', '-50');
    expect(design().mixes[0]!.terms).toContainEqual({ control: 'aileron', left: 1, right: -0.5 });
    await waitFor(() => expect(analysis().lateral.rollFromAileron! / before).toBeCloseTo(0.75, 2));
    await hand.click(screen.getByRole('button', { name: 'Usual mix' }));
    expect(design().mixes).toEqual([]);
  });

  test('more than twice the stick is refused with the range', async () => {
    const { hand, design } = await mixes('lagoon-postman');
    await fill(hand, 'Elevator, left', '250');
    expect(screen.getByRole('alert').textContent).toMatch(/between −200 % and 200 %/);
    expect(design().mixes).toEqual([]);
  });

  test('a drive that tilts is one more that follows', async () => {
    const { hand, design } = await show(
      demoDesign('lagoon-postman'),
      <Now
        of={(now) => (
          <>
            <RiggingStage design={now} />
            <MixesSection design={now} />
          </>
        )}
      />,
    );
    expect(screen.queryByRole('textbox', { name: /tilted nose up/ })).toBeNull();
    await fill(hand, 'Tilts by', '15');
    await fill(hand, /tilted nose up, only one/, '100');
    expect(design().mixes[0]).toMatchObject({ command: 'pitch', drives: [{ left: 0, right: 1 }] });
    await waitFor(() =>
      expect(document.body.textContent).toMatch(/Tilted drives in level flight.*gone with the throttle/),
    );
  });

  test('a flight mode has its own neutrals, and is flown', async () => {
    const { hand, design, analysis } = await mixes('lagoon-postman');
    const before = analysis().trim.elevator!;
    await hand.click(screen.getByRole('button', { name: 'Mode' }));
    await fill(hand, 'Name of the mode', 'Landing');
    await fill(hand, 'Elevator stands (down +)', '-2');
    expect(design()).toMatchObject({ mode: 'mode1', modes: [{ name: 'Landing', neutrals: [{ angle: -2 }] }] });
    await waitFor(() => expect(analysis().trim.elevator! - before).toBeCloseTo((2 * Math.PI) / 180, 2));
    await choose(hand, 'Flown and computed', 'as drawn');
    await waitFor(() => expect(analysis().trim.elevator!).toBeCloseTo(before, 9));
  });
});

describe('what is measured on the airframe', () => {
  test('the face that carries the level says how the datum is brought level', async () => {
    const { hand, design } = await rigging('lagoon-postman');
    await fill(hand, 'Face that carries the level', 'Floor of the bay');
    await fill(hand, 'Nose up by', '1.5');
    expect(design().levelling).toEqual({ face: 'Floor of the bay', angle: 1.5 });
    expect(within(screen.getByTestId('levelling')).getByText(/shim until it shows 1.5°/)).toBeTruthy();
  });

  test('a control that is not level, and a twisted tail, are flown', async () => {
    const { hand, design, analysis } = await rigging('lagoon-postman');
    await fill(hand, 'Elevator, left', '3');
    await waitFor(() => expect(analysis().asymmetry!.roll).toBeGreaterThan(0));
    await fill(hand, 'Elevator, left', '');
    expect(
      design()
        .surfaces.flatMap(({ controls }) => controls)
        .every(({ asBuilt }) => !asBuilt),
    ).toBe(true);
    await fill(hand, /tail against wing/, '2');
    expect(design().bodies[0]!.asBuilt).toEqual({ twist: 2 });
    await waitFor(() => expect(Math.abs(analysis().asymmetry!.yaw)).toBeGreaterThan(0));
  });
});

describe('bodies by their build', () => {
  test('layers, doublers, glue and sticks under film weigh what they say', async () => {
    const { hand, design, analysis } = await show(
      demoDesign('lagoon-postman'),
      <Now of={(now) => <WeightsStage design={now} />} />,
    );
    const body = design().bodies[0]!;
    const weight = () => analysis().mass.parts.find(({ id }) => id === body.id)!.computed;
    const asCut = weight();
    await hand.click(screen.getByRole('button', { name: new RegExp(`^${body.name} `) }));
    await hand.click(screen.getByRole('checkbox', { name: /weighed part by part/ }));
    await waitFor(() => expect(weight()).toBeGreaterThan(asCut));
    const before = weight();
    await fill(hand, 'Layers of board', '2');
    await waitFor(() => expect(weight() / before).toBeCloseTo(2, 6));
    await hand.click(screen.getByRole('button', { name: 'Doubler' }));
    await waitFor(() => expect(weight()).toBeGreaterThan(2.01 * before));
    await fill(hand, 'Doubler 1, to', '-5000');
    expect(screen.getByRole('alert').textContent).toMatch(/at least 1 mm aft/);
    await hand.click(screen.getByRole('checkbox', { name: /sticks under film/ }));
    await waitFor(() => expect(weight()).toBeLessThan(before));
    await fill(hand, 'g/m', '12');
    expect(design().bodies[0]!.construction!.glueDensity).toBe(12);
  });
});
