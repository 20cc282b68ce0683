import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { choose, fill, Now, show } from '#/tests/render';
import { foldPattern } from '@/core/3-shape/pattern/foldPattern';
import { SectionStage } from './SectionStage';
import { surfaceChosen } from '@/store/sessionSlice';
import { ChosenSection } from './SectionSheet';

/** The drawing needs a size, which a page without layout does not have. */
beforeAll(() => {
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, value: 800 });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: 600 });
});
afterAll(() => {
  Reflect.deleteProperty(HTMLElement.prototype, 'clientWidth');
  Reflect.deleteProperty(HTMLElement.prototype, 'clientHeight');
});

const stage = (name: string) =>
  show(
    demoDesign(name),
    <Now
      of={(design) => (
        <>
          <SectionStage design={design} />
          <ChosenSection design={design} />
        </>
      )}
    />,
  );

describe('how it is built', () => {
  test('another kind for all stations or for this one', async () => {
    const { hand, design } = await stage('gannet-vee');
    const kinds = () => design().surfaces[0]!.stations.map(({ section }) => section.kind);
    await hand.click(screen.getByRole('button', { name: 'tip' }));
    await choose(hand, 'For', 'this one');
    await choose(hand, 'Built as', 'Flat sheet');
    expect(kinds()).toEqual(['foldedOverSpar', 'flatPlate']);
    await choose(hand, 'For', 'all stations');
    await choose(hand, 'Built as', 'Curved over ribs');
    expect(kinds()).toEqual(['curvedPlate', 'curvedPlate']);
    await fill(hand, 'Camber', '6');
    for (const { section } of design().surfaces[0]!.stations) expect(section).toMatchObject({ camber: 0.06 });
    await waitFor(() => expect(document.body.textContent).toMatch(/Zero-lift angle, moment−[4-8]\.\d+°/));
  });

  test('a camber beyond the theory is refused with the reason', async () => {
    const { hand, design } = await stage('evening-lifter');
    const before = design();
    const field = screen.getAllByRole('textbox', { name: 'Camber' })[0]!;
    await hand.clear(field);
    await hand.type(field, '35{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('outside thin-aerofoil theory');
    expect(design()).toBe(before);
  });

  test('coordinates come from a file, and a faulty one changes nothing', async () => {
    const { hand, design } = await stage('lagoon-postman');
    const input = screen.getByLabelText<HTMLInputElement>('File of section coordinates');
    const upload = (text: string, name: string) => hand.upload(input, new File([text], name, { type: 'text/plain' }));
    const before = design();
    await upload('Bent\n1 0\n0.5 abc\n0 0\n', 'bent.dat');
    expect((await screen.findByRole('alert')).textContent).toMatch(/^bent\.dat was not taken\. .*line 3/i);
    expect(design()).toBe(before);
    const points = Array.from({ length: 21 }, (_, index) => {
      const angle = (Math.PI * index) / 10;
      return `${((1 + Math.cos(angle)) / 2).toFixed(5)} ${(0.05 * Math.sin(angle)).toFixed(5)}`;
    });
    await upload(['Ellipse 10 %', ...points].join('\n'), 'ellipse.dat');
    await waitFor(() => expect(design().surfaces[0]!.stations[0]!.section.kind).toBe('coordinates'));
    await waitFor(() => expect(document.body.textContent).toMatch(/Thickest(10|9\.\d) % of chord, at (49|50|51) %/));
  });
});

describe('the strip to cut', () => {
  test('its width is that of the pattern, and follows the face that is scored', async () => {
    const { hand, design } = await stage('gannet-vee');
    const wanted = (scored: 'inner' | 'outer') => {
      const { section, chord } = design().surfaces[0]!.stations[0]!;
      if (section.kind !== 'foldedOverSpar') throw new Error('It was folded before.');
      return foldPattern(section, chord, { scored }).cutWidth.toFixed(1).replace('.0', '');
    };
    const shown = () => screen.getByTestId('cut-width').textContent;
    expect(shown()).toContain(`Cut a strip of ${wanted('inner')} mm`);
    await choose(hand, 'Scored or cut from', 'outside: inner face keeps its length');
    await waitFor(() => expect(shown()).toContain(`Cut a strip of ${wanted('outer')} mm`));
    expect(wanted('outer')).not.toBe(wanted('inner'));
    // Every line of the strip is named on it.
    const words = within(screen.getByTestId('strip'))
      .getAllByText(/mm$/)
      .map((text) => text.textContent!);
    expect(words.join('; ')).toMatch(
      /end of the lower skin 0 mm; spar, below .*; nose .*; spar, above .*; trailing edge/,
    );
  });

  test('a trial fold is told by the strip that was cut and the chord it reached', async () => {
    const { hand, designs, id } = await stage('gannet-vee');
    const width = Number(/strip of ([\d.]+) mm/.exec(screen.getByTestId('cut-width').textContent!)![1]);
    const folds = within(screen.getByRole('group', { name: 'Trial folds of this board' }));
    await hand.click(folds.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(screen.getByRole('textbox', { name: 'Strip cut' })).toBeTruthy());
    await fill(hand, 'Strip cut', String(width));
    await fill(hand, 'Chord reached', '187');
    const short = () => Number(screen.getByRole<HTMLInputElement>('textbox', { name: 'Short by' }).value);
    await waitFor(() => expect(Math.abs(short() - 3)).toBeLessThan(0.6));
    expect(await designs.records.count('trialFolds', id)).toBe(1);
  });

  test('a trial fold teaches the board: the next strip is wider', async () => {
    const { hand, designs, id } = await stage('gannet-vee');
    const width = () => Number(/strip of ([\d.]+) mm/.exec(screen.getByTestId('cut-width').textContent!)![1]);
    const before = width();
    const folds = within(screen.getByRole('group', { name: 'Trial folds of this board' }));
    await hand.click(folds.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(screen.getByRole('textbox', { name: 'Short by' })).toBeTruthy());
    await fill(hand, 'Short by', '3');
    await waitFor(() => expect(document.body.textContent).toContain('this board takes 3 mm more for half a turn'));
    await waitFor(() => expect(width()).toBeGreaterThan(before + 1));
    expect(screen.getByTestId('cut-width').textContent).toMatch(/of it learned from trial folds/);
    await hand.click(screen.getByRole('button', { name: 'Take trial fold 1 out' }));
    await waitFor(() => expect(width()).toBe(before));
    expect(await designs.records.count('trialFolds', id)).toBe(0);
  });
});

describe('the choices of a section', () => {
  test('edges, noses and what closes the underside are the builder’s', async () => {
    const { hand, design } = await stage('gannet-vee');
    const root = () => design().surfaces[0]!.stations[0]!.section;
    await choose(hand, 'Nose', 'one dent');
    expect(root()).toMatchObject({ scores: 1 });
    expect(screen.getByTestId('cut-width').textContent).toMatch(/Peel or slit the inside paper/);
    await fill(hand, 'Single sheet from', '75');
    expect(root()).toMatchObject({ singleFrom: 0.75 });
    await fill(hand, 'Single sheet from', '');
    expect(root()).not.toHaveProperty('singleFrom', 0.75);
    await choose(hand, 'Built as', 'Curved over ribs');
    await choose(hand, 'Below', 'closed with film');
    expect(root()).toMatchObject({ openBelow: false });
    await choose(hand, 'Built as', 'Flat sheet');
    await choose(hand, 'Edges', 'cut square');
    expect(root()).toMatchObject({ edge: 'square' });
    await choose(hand, 'Built as', 'Ribs under film');
    expect(screen.getByTestId('cut-width').textContent).toMatch(/A rib every 60 mm/);
  });

  test('the drawing says where the meter lies and where a control stands', async () => {
    const { design, session } = await stage('storm-courier');
    expect(screen.getByTestId('meter-face').textContent).toMatch(/meter on/);
    expect(design().surfaces[0]!.controls[0]!.neutral).toBe(-2.5);
    session.store.dispatch(surfaceChosen({ surface: 'wing', station: 1 }));
    await waitFor(() => expect(document.body.textContent).toMatch(/stands 2.5° up/));
  });
});

describe('rods', () => {
  test('one from the stock lies in the chord as the plan says, and is weighed', async () => {
    const { hand, design, analysis } = await stage('polly-drift');
    const before = analysis().mass.total!;
    const rods = within(screen.getByRole('group', { name: 'Rods through the chord' }));
    await hand.click(rods.getByRole('button', { name: 'Add' }));
    await hand.click(await screen.findByRole('menuitem', { name: /^Aluminium tube 6 × 5 mm/ }));
    const spar = design().surfaces[0]!.spars.at(-1)!;
    expect(spar).toMatchObject({ name: 'Aluminium tube 6 × 5 mm', width: 6, height: 6 });
    // Both sides of it; a rod is straight where the board bends up, so it is a little shorter.
    const metres = (2 * (spar.end.distanceFromRoot - spar.start.distanceFromRoot)) / 1000;
    await waitFor(() => expectWithin((analysis().mass.total! - before) * 1000, metres * spar.linearDensity, 0.01));
    await hand.click(screen.getByRole('button', { name: 'Take Aluminium tube 6 × 5 mm out' }));
    await waitFor(() => expect(analysis().mass.total!).toBeCloseTo(before, 9));
  });
});
