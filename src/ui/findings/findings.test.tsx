// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { show } from '#/tests/render';
import { direct } from '#/tests/session';
import { withFields } from '@/core/2-document/edit/withFields';
import type { JobClient } from '@/workers/lanes';
import { FindingsPanel } from './FindingsPanel';

afterEach(cleanup);

/** Tail heavy, with a pack that can slide. */
const tailHeavy = () => withFields(simpleAircraft(108), [{ field: '/massItems/pack/attachment/from', value: -300 }]);

/** Jobs whose remedies fail so many times. */
function failing(times: number): JobClient & { readonly asked: () => number } {
  let asked = 0;
  return {
    ...direct,
    ask: async (name, input, options) => {
      if (name !== 'remedies' || ++asked > times) return direct.ask(name, input, options);
      return { kind: 'failed', message: 'The worker ended.' };
    },
    asked: () => asked,
  };
}

describe('remedies', () => {
  test('one that failed is said, and tried again on demand', async () => {
    const jobs = failing(1);
    const { hand } = await show(tailHeavy(), <FindingsPanel />, jobs);
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/could not be tried: The worker ended\..*stand/);
    expect(screen.queryByRole('button', { name: /Slide/ })).toBeNull();
    await hand.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(screen.getByRole('button', { name: /Slide/ })).toHaveProperty('disabled', false));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(jobs.asked()).toBe(2);
  });

  test('failing again is said again', async () => {
    const jobs = failing(2);
    const { hand } = await show(tailHeavy(), <FindingsPanel />, jobs);
    await hand.click(await screen.findByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(jobs.asked()).toBe(2));
    expect((await screen.findByRole('alert')).textContent).toContain('The worker ended.');
  });

  test('taken, the finding is gone and the next answer is awaited', async () => {
    const { hand, analysis } = await show(tailHeavy(), <FindingsPanel />);
    const before = analysis().findings.map(({ id }) => id);
    expect(before).toContain('balanceAft');
    await hand.click(await screen.findByRole('button', { name: /Slide/ }));
    await waitFor(() => expect(analysis().findings.map(({ id }) => id)).not.toContain('balanceAft'));
  });
});
