import { configure, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { settingsLoaded } from '@/store/settingsSlice';
import { SurroundingsContext } from '@/ui/surroundings';
import type { JobClient } from '@/workers/lanes';
import { openSession, type TestSession } from './session';

/** A piece of the interface over an open design, with a hand that clicks and types. */
export async function show(
  design: Design,
  piece: ReactElement,
  jobs?: JobClient,
): Promise<TestSession & { readonly hand: ReturnType<typeof userEvent.setup> }> {
  const open = await openSession(design, jobs);
  const { session, designs } = open;
  // What is folded at first is looked at too.
  const { settings } = session.store.getState();
  session.store.dispatch(settingsLoaded({ ...settings, groups: { allOpen: true, open: {} } }));
  render(
    <SurroundingsContext value={{ session, designs }}>
      <Provider store={session.store}>
        <MemoryRouter>{piece}</MemoryRouter>
      </Provider>
    </SurroundingsContext>,
  );
  return { ...open, hand: userEvent.setup() };
}

/** A stage over the document as it is now. */
export function Now({ of }: { readonly of: (design: Design) => ReactElement }) {
  const design = useAppSelector((state) => state.document.present!);
  return of(design);
}

/** Types a value over what a field holds and takes it with Enter. */
export async function fill(hand: ReturnType<typeof userEvent.setup>, label: string | RegExp, text: string) {
  const field = screen.getByRole('textbox', { name: label });
  await hand.clear(field);
  await hand.type(field, `${text}{Enter}`);
  return field;
}

// A busy machine takes longer than the second that is waited as a rule.
configure({ asyncUtilTimeout: 20_000 });

/** Tags that stand in a line, so that names read over them run on. */
const IN_LINE = new Set(
  'A ABBR B BDI BUTTON CODE EM I INPUT KBD LABEL MARK S SMALL SPAN STRONG SUB SUP TIME U'.split(' '),
);

/**
 * No style sheet is loaded here: what an element says itself, and how its tag
 * stands, is all there is. jsdom would look through its own sheet for every
 * element of every name that is asked for, a third of the time of these tests.
 */
const ofAll = window.getComputedStyle.bind(window);
window.getComputedStyle = (element, pseudo) => {
  const { style, hidden, tagName } = element as HTMLElement;
  if (pseudo || !style || hidden || tagName === 'OPTION' || tagName === 'SUMMARY') return ofAll(element, pseudo);
  const display = style.display || (IN_LINE.has(tagName) ? 'inline' : 'block');
  return new Proxy(style, {
    get: (own, key) => {
      if (key === 'display') return display;
      if (key === 'visibility') return own.visibility || 'visible';
      if (key === 'getPropertyValue')
        return (name: string) =>
          name === 'display' ? display : own.getPropertyValue(name) || (name === 'visibility' ? 'visible' : '');
      const value: unknown = Reflect.get(own, key);
      return typeof value === 'function' ? value.bind(own) : value;
    },
  });
};

/** What lays a paper out has no size here: its numbers are read. */
window.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

// What jsdom lacks and lists of choices call.
Object.assign(Element.prototype, {
  hasPointerCapture: () => false,
  releasePointerCapture: () => undefined,
  scrollIntoView: () => undefined,
});

/** Opens a choice by its label and takes the option that reads so. */
export async function choose(hand: ReturnType<typeof userEvent.setup>, label: string, option: string | RegExp) {
  await hand.click(screen.getByRole('combobox', { name: label }));
  await hand.click(await screen.findByRole('option', { name: option }));
}
