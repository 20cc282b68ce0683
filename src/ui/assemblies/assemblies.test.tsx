import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, Now, show } from '#/tests/render';
import { settle } from '#/tests/session';
import type { Design } from '@/core/2-document/schema/design';
import { AssembliesSheet } from './AssembliesSheet';

/** Without the assemblies that the demo ships, so that each test binds its own. */
const loose = (name: string): Design => ({ ...demoDesign(name), assemblies: [] });
const sheet = (design: Design) => show(design, <Now of={(now) => <AssembliesSheet design={now} />} />);

async function bindWing(hand: Awaited<ReturnType<typeof sheet>>['hand'], name: string, part = 'Wing', count = 1) {
  await hand.click(screen.getByRole('checkbox', { name: part }));
  const field = screen.getByRole('textbox', { name: 'Name of the assembly' });
  await hand.clear(field);
  await hand.type(field, name);
  await hand.click(screen.getByRole('button', { name: new RegExp(`^Bind ${count} parts? together`) }));
}

describe('assemblies', () => {
  test('parts are bound under a name, shared, and loosened again', async () => {
    const { hand, design, designs } = await sheet(loose('lagoon-postman'));
    const bind = screen.getByRole<HTMLButtonElement>('button', { name: 'Bind parts together' });
    expect(bind.disabled).toBe(true);
    await bindWing(hand, 'Long wing');
    expect(design().assemblies).toMatchObject([{ name: 'Long wing', kind: 'wing', surfaces: ['wing'] }]);
    const row = within(screen.getByText('Long wing').closest('li')!);
    await hand.click(row.getByRole('button', { name: 'Share' }));
    await waitFor(() => expect(row.getByRole('button', { name: 'Stop sharing' })).toBeTruthy());
    await waitFor(async () => expect((await designs.sharedParts()).map(({ name }) => name)).toEqual(['Long wing']));
    await hand.click(row.getByRole('button', { name: 'Stop sharing' }));
    expect(design().assemblies[0]!.sharedId).toBeUndefined();
    await hand.click(row.getByRole('button', { name: 'Take apart' }));
    expect(design().assemblies).toEqual([]);
    expect(design().surfaces.map(({ id }) => id)).toContain('wing');
  });

  test('a part is in one assembly only; taken from a shared one, that stays whole where it is shared', async () => {
    const { hand, design, designs } = await sheet(loose('lagoon-postman'));
    await hand.click(screen.getByRole('checkbox', { name: 'Tailplane' }));
    await bindWing(hand, 'Both', 'Wing', 2);
    await hand.click(screen.getByRole('button', { name: 'Share' }));
    await waitFor(async () => expect(await designs.sharedParts()).toHaveLength(1));
    await bindWing(hand, 'Wing alone');
    expect(design().assemblies).toMatchObject([
      { name: 'Both', surfaces: ['tailplane'] },
      { name: 'Wing alone', surfaces: ['wing'] },
    ]);
    expect(design().assemblies[0]).not.toHaveProperty('sharedId');
    await settle();
    expect((await designs.sharedParts())[0]!.parts.surfaces).toHaveLength(2);
    // Nothing is left of one that lost its last part.
    await bindWing(hand, 'Wing again');
    expect(design().assemblies.map(({ name }) => name)).toEqual(['Both', 'Wing again']);
  });

  test('another shared wing is tried beside this one, and built', async () => {
    const { hand, design, analysis, designs } = await sheet(loose('lagoon-postman'));
    await bindWing(hand, 'Short wing');
    await hand.click(screen.getByRole('button', { name: 'Share' }));
    await waitFor(async () => expect(await designs.sharedParts()).toHaveLength(1));
    // A second design brings the longer one.
    const other = structuredClone(loose('lagoon-postman'));
    other.surfaces.find(({ id }) => id === 'wing')!.stations.at(-1)!.distanceFromRoot += 120;
    const [bound] = design().assemblies;
    await designs.create({ ...other, assemblies: [{ ...bound!, id: 'theirs', name: 'Long wing', sharedId: 'long' }] });
    const boxes = await screen.findAllByRole('checkbox', { name: /Short wing \(now\)|Long wing/ });
    expect(boxes).toHaveLength(2);
    for (const box of boxes) await hand.click(box);
    await hand.click(screen.getByRole('button', { name: 'Try all 2' }));
    const table = within(await screen.findByTestId('combinations'));
    await waitFor(() => expect(table.getAllByRole('row')).toHaveLength(3));
    const stall = (name: RegExp) => Number(/([\d.]+) m\/s/.exec(table.getByRole('row', { name }).textContent!)![1]);
    expect(stall(/^Long wing/)).toBeLessThan(stall(/^Short wing/));
    const before = analysis().reference.span!;
    await hand.click(table.getByRole('button', { name: 'Build it with Long wing' }));
    await waitFor(() => expect(analysis().reference.span!).toBeGreaterThan(before + 0.2));
    expect(design().assemblies[0]!.sharedId).toBe('long');
  });

  test('a name may be left out: the kind is its name', async () => {
    const { hand, design } = await sheet(loose('evening-lifter'));
    await choose(hand, 'Kind', 'Tail');
    await hand.click(screen.getByRole('checkbox', { name: /tailplane/i }));
    await hand.click(screen.getByRole('button', { name: /^Bind 1 part together/ }));
    expect(design().assemblies).toMatchObject([{ name: 'Tail', kind: 'tail' }]);
  });
});
