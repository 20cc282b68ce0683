import 'fake-indexeddb/auto';
import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { choose, fill, Now, show } from '#/tests/render';
import { InTheDrawer } from './InTheDrawer';

test('what is entered is taken as a motor; as a rod it is one of the stock, that weighs what the stock says', async () => {
  const { hand, design } = await show(
    simpleAircraft(),
    <Now of={({ brief }) => <InTheDrawer drawer={brief.drawer} />} />,
  );
  expect(document.body.textContent).toMatch(/rods are tried first where something is to be stiffened/);
  await hand.click(screen.getByRole('button', { name: 'Add' }));
  await fill(hand, 'Mass of Motor 1', '42');
  expect(design().brief.drawer).toEqual([{ kind: 'motor', name: 'Motor 1', mass: 42 }]);
  await fill(hand, 'Mass of Motor 1', '-5');
  expect(document.body.textContent).toMatch(/must/);
  expect(design().brief.drawer[0]!.mass).toBe(42);
  await choose(hand, 'Kind of Motor 1', 'Rod');
  expect(design().brief.drawer).toEqual([{ kind: 'spar', name: 'Carbon rod 2 mm' }]);
  expect(screen.queryByRole('textbox')).toBeNull();
  await choose(hand, 'Name of Carbon rod 2 mm', 'Glass rod 4 mm');
  expect(design().brief.drawer).toEqual([{ kind: 'spar', name: 'Glass rod 4 mm' }]);
  await choose(hand, 'Kind of Glass rod 4 mm', 'Pack');
  expect(design().brief.drawer).toEqual([{ kind: 'pack', name: 'Glass rod 4 mm' }]);
  await hand.click(screen.getByRole('button', { name: 'Take Glass rod 4 mm out of the drawer' }));
  expect(design().brief.drawer).toEqual([]);
});

test('a rod that no stock list knows keeps its name until another one is chosen', async () => {
  const drawer = [{ kind: 'spar', name: 'Broomstick' }];
  const { hand, design } = await show(
    simpleAircraft(90, { brief: { drawer } }),
    <Now of={({ brief }) => <InTheDrawer drawer={brief.drawer} />} />,
  );
  expect(screen.getByRole('combobox', { name: 'Name of Broomstick' }).textContent).toBe('Broomstick');
  await choose(hand, 'Name of Broomstick', 'Pine stick 5 × 5 mm');
  expect(design().brief.drawer).toEqual([{ kind: 'spar', name: 'Pine stick 5 × 5 mm' }]);
});
