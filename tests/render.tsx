import { render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
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
