import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { fill, Now, show } from '#/tests/render';
import { cutListOf } from '@/core/4-parts/cutList';
import { gatesOf } from '@/core/8-bench/gates';
import { judgeGates } from '@/core/8-bench/judgeGate';
import { gatesJudged } from '@/store/benchSlice';
import { BuildOrder } from './BuildOrder';
import { Instruments } from './Instruments';

test('a gate is read and judged; what is not green holds up the glue until someone says why, and that is kept', async () => {
  const first = demoDesign('lagoon-postman');
  const list = cutListOf(first);
  const { hand, dispatch, design } = await show(first, <Now of={(of) => <BuildOrder design={of} list={list} />} />);
  // What the worker would answer.
  const judge = () => dispatch(gatesJudged({ of: design(), verdicts: judgeGates(design(), gatesOf(design())) }));
  judge();
  const gate = (await screen.findAllByRole('status', { name: 'Gate of Wing' })).at(-1)!;
  expect(gate.textContent).toMatch(/^To be read: 0\.00°.*it bears readings from/);
  await fill(hand, 'Along the chord, left', '2.2');
  await fill(hand, 'Along the chord, right', '2.2');
  await waitFor(() => expect(design().surfaces[0]!.asBuilt!.right!.incidence).toBeCloseTo(2.2, 2));
  judge();
  await waitFor(() => expect(gate.textContent).toMatch(/^Not yet: .* mm under the trailing edge on the left/));

  const glue = screen.getByRole('checkbox', { name: /Wing in its place/ });
  await hand.click(glue);
  expect(design().built).not.toContain('wing-mount');
  const why = screen.getByRole('textbox', { name: /The gate of Wing is not green\..*Why go on all the same/ });
  const asked = within(why.closest('form')!);
  expect(asked.getByRole('button', { name: 'Go on all the same' })).toHaveProperty('disabled', true);
  await hand.click(asked.getByRole('button', { name: 'Not yet' }));
  expect(screen.queryByRole('textbox', { name: /Why go on/ })).toBeNull();

  await hand.click(glue);
  await hand.type(screen.getByRole('textbox', { name: /Why go on/ }), 'Flies as a test bed');
  await hand.click(screen.getByRole('button', { name: 'Go on all the same' }));
  await screen.findByText('Passed though its gate was not green: Flies as a test bed');
  await waitFor(() => expect(design().built).toContain('wing-mount'));

  // Read right, it is green and asks nothing.
  await fill(hand, 'Along the chord, left', '0');
  await fill(hand, 'Along the chord, right', '0.1');
  await waitFor(() => expect(design().surfaces[0]!.asBuilt!.right!.incidence).toBeCloseTo(0.1, 2));
  judge();
  await waitFor(() => expect(gate.textContent).toMatch(/^Right as it is/));
  const caught = await screen.findByRole('list', { name: 'Caught at the gate of Wing' });
  await waitFor(() => expect(caught.textContent).toMatch(/: 2\.2° on the right where 0° is to be read/));
  expect(within(caught).getAllByRole('listitem')).toHaveLength(2);
  const tailGlue = screen.getByRole('checkbox', { name: /Tailplane in its place/ });
  await hand.click(tailGlue);
  expect(screen.getByRole('textbox', { name: /Nobody has read the gate of Tailplane yet/ })).toBeTruthy();
});

test('a meter that is off is told by turning it round, and taken off what is read', async () => {
  const first = demoDesign('lagoon-postman');
  const list = cutListOf(first);
  const { hand, dispatch, design } = await show(
    first,
    <Now
      of={(of) => (
        <>
          <Instruments />
          <BuildOrder design={of} list={list} />
        </>
      )}
    />,
  );
  dispatch(gatesJudged({ of: first, verdicts: judgeGates(first, gatesOf(first)) }));
  await screen.findAllByRole('status', { name: 'Gate of Wing' });
  await fill(hand, 'Tilt meter on any face', '2.9');
  await fill(hand, 'The same, turned end for end', '-2.1');
  const zero = screen.getByRole('status', { name: 'Zero of the meter' });
  await waitFor(() => expect(zero.textContent).toMatch(/^It shows 0\.4° when level/));
  await fill(hand, 'Along the chord, left', '0.9');
  await waitFor(() => expect(design().surfaces[0]!.asBuilt!.left!.incidence).toBeCloseTo(0.5, 3));
  expect(screen.getByRole('textbox', { name: 'Along the chord, left' })).toHaveProperty('value', '0.9');
  // Two faces instead of one: refused with why.
  await fill(hand, 'The same, turned end for end', '80');
  expect(await screen.findByText(/the meter lay on another face/)).toBeTruthy();
  await hand.click(within(zero).getByRole('button', { name: 'Take readings as they are' }));
  await waitFor(() =>
    expect(screen.getByRole('textbox', { name: 'Along the chord, left' })).toHaveProperty('value', '0.5'),
  );
});
