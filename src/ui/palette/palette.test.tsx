import 'fake-indexeddb/auto';
import { screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { Now, show } from '#/tests/render';
import { STAGE_LIST } from '../stages/stages';
import { CommandPalette } from './CommandPalette';

describe('what can be found by its words', () => {
  test.each(STAGE_LIST.filter(({ fields }) => fields.length > 0).map((stage) => [stage.title, stage] as const))(
    'fields of %s are there, in the group that is opened for them',
    async (_, { fields, Inputs }) => {
      await show(demoDesign('lagoon-postman'), <Now of={(design) => <Inputs design={design} />} />);
      const groups = await screen.findAllByRole('group');
      for (const [group, label] of fields) {
        // The group of a surface bears the name of the surface.
        const name = group === 'Place of a surface' ? 'Wing' : group;
        const own = groups.find((candidate) => candidate.getAttribute('aria-label') === name);
        expect(within(own!).getAllByLabelText(label, { exact: true }).length, `${group}: ${label}`).toBeGreaterThan(0);
      }
    },
  );

  test('an action is found by a part of its name and done; the list closes', async () => {
    const { hand, session } = await show(demoDesign('lagoon-postman'), <CommandPalette />);
    await hand.keyboard('{Control>}k{/Control}');
    await hand.type(await screen.findByRole('combobox', { name: 'Find' }), 'inches');
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)[0]).toBe('Lengths in inches');
    await hand.keyboard('{Enter}');
    expect(session.store.getState().settings.units.length).toBe('in');
    expect(screen.queryByRole('combobox', { name: 'Find' })).toBeNull();
  });

  test('parts are there by name, and what is called nothing is said', async () => {
    const { hand } = await show(demoDesign('lagoon-postman'), <CommandPalette />);
    await hand.click(screen.getByRole('button', { name: 'Find' }));
    const input = await screen.findByRole('combobox', { name: 'Find' });
    await hand.type(input, 'speed controller');
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toContain('Speed controller');
    await hand.clear(input);
    await hand.type(input, 'qqqq');
    expect(document.body.textContent).toContain('Nothing is called so');
  });
});
