import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { fill, Now, show } from '#/tests/render';
import { finish } from '@/core/1-base/steps';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut, USUAL_LAYOUT } from '@/core/4-parts/layout';
import { laidOut } from '@/store/plansSlice';
import { PlansStage } from './PlansStage';

const laid = (name: string) => {
  const of = demoDesign(name);
  const list = cutListOf(of);
  return { of, scale: 1, list, layout: finish(layOut(of, list, { ...USUAL_LAYOUT, tries: 1 })) };
};

test('parts are listed with their number; one that is pressed is told with size, weight and notes', async () => {
  const { hand, dispatch } = await show(
    demoDesign('lagoon-postman'),
    <Now of={(design) => <PlansStage design={design} />} />,
  );
  expect(document.body.textContent).toContain('Laying out');
  dispatch(laidOut(laid('lagoon-postman')));
  const tail = await screen.findByRole('button', { name: 'Tailplane, 1' });
  await hand.click(tail);
  const told = screen.getByRole('group', { name: 'Tailplane' });
  expect(told.textContent).toMatch(/Long460 mm/);
  expect(told.textContent).toMatch(/grain of the board along it/);
  expect(told.textContent).toMatch(/Needed1/);
});

test('a price makes a cost; what is emptied makes none', async () => {
  const { hand, dispatch, design } = await show(
    demoDesign('lagoon-postman'),
    <Now of={(one) => <PlansStage design={one} />} />,
  );
  dispatch(laidOut(laid('lagoon-postman')));
  await screen.findByText('Boards cost');
  expect(screen.getByText('Boards cost').parentElement!.textContent).toMatch(/not known/);
  const field = screen.getAllByRole('textbox', { name: 'A sheet costs' })[0]!;
  await fill(hand, field.getAttribute('aria-label') ?? 'A sheet costs', '4');
  await waitFor(() => expect(design().materials[0]!.price).toBe(4));
  await waitFor(() => expect(screen.getByText('Boards cost').parentElement!.textContent).toMatch(/\d/));
});

test('what cannot be cut is told beside', async () => {
  const { dispatch } = await show(demoDesign('manta-delta'), <Now of={(design) => <PlansStage design={design} />} />);
  dispatch(laidOut(laid('manta-delta')));
  const faults = await screen.findByRole('list', { name: 'What cannot be cut' });
  expect(within(faults).getAllByRole('listitem')[0]!.textContent).toMatch(/cuts Keel in two.*Make the body higher/);
});
