import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { show } from '#/tests/render';
import { thorough } from '#/tests/session';
import { withFields } from '@/core/2-document/edit/withFields';
import type { JobClient } from '@/workers/lanes';
import { FindingsPanel } from './FindingsPanel';
import { FindingsStrip } from './FindingsStrip';

/** Tail heavy, with a pack that can slide. */
const tailHeavy = () => withFields(simpleAircraft(108), [{ field: '/massItems/pack/attachment/from', value: -300 }]);

/** Jobs whose remedies fail so many times. */
function failing(times: number): JobClient & { readonly asked: () => number } {
  let asked = 0;
  return {
    ...thorough,
    ask: async (name, input, options) => {
      if (name !== 'remedies' || ++asked > times) return thorough.ask(name, input, options);
      return { kind: 'failed', message: 'The worker ended.' };
    },
    asked: () => asked,
  };
}

describe('remedies', () => {
  test('one that failed is said, and tried again on demand', async () => {
    const jobs = failing(1);
    const { hand } = await show(tailHeavy(), <FindingsPanel onShow={() => undefined} />, jobs);
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
    const { hand } = await show(tailHeavy(), <FindingsPanel onShow={() => undefined} />, jobs);
    await hand.click(await screen.findByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(jobs.asked()).toBe(2));
    expect((await screen.findByRole('alert')).textContent).toContain('The worker ended.');
  });

  test('taken, the finding is gone and the next answer is awaited', async () => {
    const { hand, analysis } = await show(tailHeavy(), <FindingsPanel onShow={() => undefined} />, thorough);
    const before = analysis().findings.map(({ id }) => id);
    expect(before).toContain('balanceAft');
    await hand.click(await screen.findByRole('button', { name: /Slide/ }));
    await waitFor(() => expect(analysis().findings.map(({ id }) => id)).not.toContain('balanceAft'));
  });
});

describe('the strip at the beam', () => {
  test('says the gravest and how many, opens upward, Escape closes it and gives the focus back', async () => {
    const { hand } = await show(tailHeavy(), <FindingsStrip />);
    const strip = screen.getByTestId('findings-strip');
    expect(strip.textContent).toMatch(/^\s*Stop.*behind the window.*\d finding/);
    expect(screen.queryByTestId('findings')).toBeNull();
    await hand.click(strip);
    expect(strip.getAttribute('aria-expanded')).toBe('true');
    screen.getByTestId('findings').focus();
    await hand.keyboard('{Escape}');
    expect(screen.queryByTestId('findings')).toBeNull();
    expect(document.activeElement).toBe(strip);
  });

  test('nothing found is no promise of anything', async () => {
    await show(demoDesign('harbour-steward'), <FindingsStrip />);
    expect(screen.getByTestId('findings-strip').textContent).toMatch(/Nothing stands out in what was computed/);
  });
});

describe('setting aside', () => {
  /** Far more margin than was wanted: a note. */
  const stiff = () => withFields(simpleAircraft(70), [{ field: '/balance/maximumStaticMargin', value: 0.1 }]);

  test('a note goes with a reason that the document keeps, and comes back', async () => {
    const { hand, design } = await show(stiff(), <FindingsPanel onShow={() => undefined} />);
    const card = () => document.querySelector('[data-finding="stifferThanWanted"]');
    await waitFor(() => expect(card()).not.toBeNull());
    await hand.click(within(card() as HTMLElement).getByRole('button', { name: 'Set aside…' }));
    await hand.type(
      screen.getByRole('textbox', { name: 'Why it may stay as it is' }),
      'It is a trainer for the wind{Enter}',
    );
    expect(design().setAside).toEqual([{ finding: 'stifferThanWanted', reason: 'It is a trainer for the wind' }]);
    await waitFor(() => expect(card()).toBeNull());
    expect(screen.getByText(/It is a trainer for the wind/)).toBeTruthy();
    await hand.click(screen.getByRole('button', { name: 'Bring back' }));
    await waitFor(() => expect(card()).not.toBeNull());
    expect(design().setAside).toEqual([]);
  });

  test('a stop never goes, not even where a file says so', async () => {
    const setAside = [{ finding: 'balanceAft', reason: 'I know better' }];
    await show(
      withFields(tailHeavy(), [{ field: '/setAside', value: setAside }]),
      <FindingsPanel onShow={() => undefined} />,
    );
    await waitFor(() => expect(document.querySelector('[data-finding="balanceAft"]')).not.toBeNull());
    const card = document.querySelector<HTMLElement>('[data-finding="balanceAft"]')!;
    expect(card.textContent).toMatch(/Stop/);
    expect(within(card).queryByRole('button', { name: 'Set aside…' })).toBeNull();
  });
});
