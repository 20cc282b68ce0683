import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { choose, Now, show } from '#/tests/render';
import { thorough } from '#/tests/session';
import { blankDesign } from '@/core/2-document/starts';
import type { Design } from '@/core/2-document/schema/design';
import { setFields } from '@/store/edit';
import { BalanceStage } from './balance/BalanceStage';
import { BriefStage } from './brief/BriefStage';
import { FindingsPanel } from './findings/FindingsPanel';
import { RevisionsSheet } from './revisions/RevisionsSheet';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { PowerStage } from './power/PowerStage';
import { RiggingStage } from './rigging/RiggingStage';
import { SectionStage } from './section/SectionStage';
import { ControlFeelSection } from './stability/ControlFeelSection';
import { StrengthStage } from './strength/StrengthStage';
import { SurfaceStage } from './surface/SurfaceStage';
import { WeightsStage } from './weights/WeightsStage';
import { WeightsTable } from './weights/WeightsTable';

const WINGS = ['wing', 'secondWing', 'tipFin'] as const;
const STAGES: readonly (readonly [string, (design: Design) => ReactElement])[] = [
  ['brief', (design) => <BriefStage design={design} />],
  ['wing', (design) => <SurfaceStage design={design} roles={WINGS} kinds={['wing']} empty="No wing yet." />],
  ['section', (design) => <SectionStage design={design} />],
  [
    'tail',
    (design) => (
      <SurfaceStage design={design} roles={['tailplane', 'vTail', 'canard', 'fin']} kinds={['fin']} empty="No tail." />
    ),
  ],
  ['rigging', (design) => <RiggingStage design={design} />],
  ['weights', (design) => <WeightsStage design={design} />],
  ['balance', (design) => <BalanceStage design={design} />],
  ['strength', (design) => <StrengthStage design={design} />],
  ['power', (design) => <PowerStage design={design} />],
];

const numbersAreNumbers = () => expect(document.body.textContent).not.toMatch(/NaN|undefined|Infinity|\[object/);

describe('every stage of every layout, and of an empty sheet', () => {
  test.each(STAGES)('%s', async (_, of) => {
    for (const design of [blankDesign('New'), ...DEMO_NAMES.filter((_, index) => index % 5 === 0).map(demoDesign)]) {
      await show(design, <Now of={of} />);
      expect(document.body.textContent!.length).toBeGreaterThan(5);
      numbersAreNumbers();
      // Whatever can be typed into or pressed has a name.
      for (const control of [
        ...screen.queryAllByRole('textbox'),
        ...screen.queryAllByRole('button'),
        ...screen.queryAllByRole('combobox'),
      ])
        expect(
          control.getAttribute('aria-label') ??
            control.textContent + (control.id && document.querySelector(`label[for="${control.id}"]`)?.textContent),
        ).toBeTruthy();
      cleanup();
    }
  });
});

describe('findings', () => {
  test('each is a sentence with its stage; a remedy is taken by a click, and undone as one step', async () => {
    const { hand, design, analysis } = await show(
      demoDesign('reef-surveyor'),
      <FindingsPanel onShow={() => undefined} />,
      thorough,
    );
    const card = (await screen.findAllByRole('listitem')).find((item) =>
      item.textContent!.includes('behind the window'),
    )!;
    expect(card.textContent).toContain('Stop');
    expect(card.textContent).toContain('Balance');
    const before = design();
    const slide = await within(card).findByRole('button', { name: /^Slide Pack/ });
    await waitFor(() => expect((slide as HTMLButtonElement).disabled).toBe(false));
    await hand.click(slide);
    expect(design()).not.toBe(before);
    await waitFor(() => expect(analysis().findings.map(({ id }) => id)).not.toContain('balanceAft'));
  });

  test('nothing found is no promise', async () => {
    await show(demoDesign('harbour-steward'), <FindingsPanel onShow={() => undefined} />);
    expect(screen.getByText(/That proves nothing in the air: follow your club’s rules/)).toBeTruthy();
  });
});

describe('rigging', () => {
  test('a measured angle is flown, and its shim named', async () => {
    const { hand, analysis } = await show(
      demoDesign('lagoon-postman'),
      <Now of={(design) => <RiggingStage design={design} />} />,
    );
    const before = analysis().rigging.handsOffLift!;
    for (const side of ['left', 'right']) {
      const field = screen.getAllByRole('textbox', { name: `Incidence, ${side}` })[1]!;
      await hand.clear(field);
      await hand.type(field, '-1.5{Enter}');
    }
    // 2° over 140 mm of chord: 4.9 mm.
    await waitFor(() =>
      expect(document.body.textContent).toMatch(/Built 2° too far nose down: 4\.9 mm under the leading edge/),
    );
    await waitFor(() => expect(analysis().rigging.handsOffLift!).toBeGreaterThan(before + 0.2));
  });

  test('read on the flat face, the incidence is that of the chord', async () => {
    const { hand, design } = await show(
      demoDesign('lagoon-postman'),
      <Now of={(drawn) => <RiggingStage design={drawn} />} />,
    );
    const wing = design().surfaces[0]!;
    const { angle } = measurableFace(wing.stations[0]!.section, wing.stations[0]!.chord);
    await hand.click(screen.getByRole('checkbox', { name: 'read on the face, not along the chord' }));
    const field = screen.getAllByRole('textbox', { name: 'Incidence, left' })[0]!;
    await hand.type(field, '0.5{Enter}');
    const incidence = design().surfaces[0]!.asBuilt!.left!.incidence!;
    expect(incidence).toBeCloseTo(0.5 - (angle * 180) / Math.PI, 1);
    expect(field).toHaveProperty('value', '0.5');
  });

  test('a shim for any turn is chord times tangent', async () => {
    const { hand } = await show(
      demoDesign('lagoon-postman'),
      <Now of={(design) => <RiggingStage design={design} />} />,
    );
    const field = screen.getByRole('textbox', { name: 'Turn nose up by' });
    await hand.clear(field);
    await hand.type(field, '3{Enter}');
    const wing = (210 * Math.tan((3 * Math.PI) / 180)).toFixed(0);
    expect(document.body.textContent).toContain(`${wing} mm under the leading edge`);
    await hand.clear(field);
    await hand.type(field, '40{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('between −20° and 20°');
  });
});

describe('weights', () => {
  test('the table sums its groups and what the filter leaves', async () => {
    const { hand, analysis } = await show(demoDesign('lagoon-postman'), <WeightsTable />);
    const total = Math.round(analysis().mass.total! * 1000);
    const foot = () => within(screen.getByTestId('weights')).getAllByRole('row').at(-1)!.textContent;
    expect(foot()).toBe(`All of it${total} g`);
    await hand.type(screen.getByRole('searchbox'), 'servo');
    await waitFor(() => expect(foot()).toMatch(/^2 of 12 parts37 g \(7 %\)$/));
  });

  test('a sheet from the shelf comes in with the part that takes it', async () => {
    const { hand, design } = await show(
      demoDesign('lagoon-postman'),
      <Now of={(current) => <WeightsStage design={current} />} />,
    );
    await choose(hand, 'Sheet of Fin', '+ Packing foam 3 mm');
    expect(design().materials.at(-1)).toMatchObject({ id: 'packing3', arealDensity: 75 });
    expect(design().surfaces[2]!.construction!.material).toBe('packing3');
    await choose(hand, 'Sheet of Fin', 'weighs nothing');
    expect(design().surfaces[2]!.construction).toBeUndefined();
  });
});

describe('control feel', () => {
  test('too much is said, and the rate that mends it is set by a click', async () => {
    const { hand, dispatch, analysis, design } = await show(demoDesign('lagoon-postman'), <ControlFeelSection />);
    dispatch(
      setFields([
        field('surfaces', 'wing', 'controls', 'aileron', 'throwUp').to(2),
        field('surfaces', 'wing', 'controls', 'aileron', 'throwDown').to(2),
      ]),
    );
    await waitFor(() => expect(document.body.textContent).toContain('feels too little'));
    await hand.click(screen.getByRole('button', { name: /^Set the travel of roll/ }));
    expect(design().surfaces[0]!.controls[0]!.throwUp).toBeGreaterThan(3);
    await waitFor(() =>
      expect(['calm', 'lively']).toContain(analysis().feel.axes.find(({ axis }) => axis === 'roll')!.feel),
    );
  });
});

describe('revisions', () => {
  test('keep, change, compare, go back', async () => {
    const { hand, dispatch, design, designs, id } = await show(
      demoDesign('tern-tender'),
      <Now of={(current) => <RevisionsSheet design={current} />} />,
    );
    expect(screen.getByText(/Nothing kept yet/)).toBeTruthy();
    await hand.type(screen.getByLabelText('Name of this state'), 'First{Enter}');
    dispatch(setFields([field('surfaces', 'tailplane', 'incidence').to(2.5)]));
    await hand.click(await screen.findByRole('button', { name: 'Compare' }));
    const sheet = await screen.findByTestId('comparison');
    await waitFor(() => expect(sheet.textContent).toContain('Pitch control at cruise'));
    expect(sheet.textContent).toMatch(/Tailplane, incidence1° → 2\.5°/i);
    await hand.click(screen.getByRole('button', { name: 'Go on from it' }));
    await waitFor(() => expect(design().surfaces.find(({ id }) => id === 'tailplane')!.incidence).toBe(1));
    await hand.click(screen.getByRole('button', { name: 'Take First out of the record' }));
    await waitFor(async () => expect(await designs.records.count('revisions', id)).toBe(0));
  });
});
