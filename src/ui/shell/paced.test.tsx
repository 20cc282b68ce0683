import { act, render, screen } from '@testing-library/react';
import { Provider, useSelector } from 'react-redux';
import { beforeEach, expect, test, vi } from 'vitest';
import type { AppStore } from '@/store/store';
import { PacedProvider } from './PacedProvider';

interface Told {
  readonly session: { readonly dragging: boolean };
  readonly count: number;
}

/** A store of nothing but what is told here, and a clock that drawing takes its time from. */
function setUp({ cost }: { readonly cost: number }) {
  let state: Told = { session: { dragging: true }, count: 0 };
  let clock = 0;
  vi.spyOn(performance, 'now').mockImplementation(() => clock);
  const listeners = new Set<() => void>();
  const store = {
    getState: () => state,
    subscribe: (listener: () => void) => (listeners.add(listener), () => void listeners.delete(listener)),
    dispatch: vi.fn(),
  } as unknown as AppStore;
  const tell = (more: Partial<Told>) =>
    act(async () => {
      state = { ...state, ...more };
      for (const listener of listeners) listener();
    });
  const wait = (milliseconds: number) => act(async () => void (await vi.advanceTimersByTimeAsync(milliseconds)));
  const draw = () => void (clock += cost);
  function Panel() {
    const count = useSelector((told: Told) => told.count);
    draw();
    return <p>count {count}</p>;
  }
  render(
    <Provider store={store}>
      <PacedProvider>
        <Panel />
      </PacedProvider>
    </Provider>,
  );
  return { tell, wait };
}

const expectShown = (count: number) => expect(screen.getByText(/count/).textContent).toBe(`count ${count}`);

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }));

test('beside a drag the numbers follow three times a second, and at once when it ends', async () => {
  const { tell, wait } = setUp({ cost: 1 });
  await tell({ count: 1 });
  await wait(299);
  expectShown(0);
  await wait(2);
  expectShown(1);
  await tell({ count: 2 });
  expectShown(1);
  await tell({ count: 3, session: { dragging: false } });
  expectShown(3);
  await tell({ count: 4 });
  expectShown(4);
});

test('what takes long to draw follows less often, so that the drawing keeps its frames', async () => {
  const { tell, wait } = setUp({ cost: 100 });
  await tell({ count: 1 });
  await wait(301);
  expectShown(1);
  await tell({ count: 2 });
  await wait(1190);
  expectShown(1);
  await wait(20);
  expectShown(2);
});
