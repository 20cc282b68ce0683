import { act, render, screen } from '@testing-library/react';
import { Provider, useSelector } from 'react-redux';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { AppStore } from '@/store/store';
import { framesOf } from '@/store/frames';
import { DrawnBeside, PacedProvider, usePlaces } from './PacedProvider';

interface Told {
  readonly session: { readonly dragging: boolean; readonly heldOn: readonly string[] };
  readonly count: number;
}

const HELD = { dragging: true, heldOn: ['sheet'] } as const;
const LET_GO = { dragging: false, heldOn: [] } as const;

interface SetUpInput {
  readonly cost: number;
  /** What lies around the number. */
  readonly around?: (panel: ReactNode) => ReactNode;
}

/** A store of nothing but what is told here, and a clock that drawing takes its time from. */
function setUp({ cost, around = (panel) => <PacedProvider>{panel}</PacedProvider> }: SetUpInput) {
  let state: Told = { session: HELD, count: 0 };
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
  const wait = (milliseconds: number) =>
    act(async () => {
      clock += milliseconds;
      await vi.advanceTimersByTimeAsync(milliseconds);
    });
  const draw = () => void (clock += cost);
  function Panel() {
    const count = useSelector((told: Told) => told.count);
    draw();
    return (
      <p>
        count {count} on {usePlaces().join(', ')}
      </p>
    );
  }
  let [time, next]: [number, ((at: number) => void) | null] = [0, null];
  vi.stubGlobal('requestAnimationFrame', (back: (at: number) => void) => void (next = back));
  render(<Provider store={store}>{around(<Panel />)}</Provider>);
  framesOf(store).watch();
  const frames = (count: number, each: number) => {
    for (let index = 0; index < count; index++) next?.((time += each));
  };
  return { tell, wait, frames };
}

const expectShown = (count: number) => expect(screen.getByText(/count/).textContent).toContain(`count ${count} `);

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }));
afterEach(() => void vi.unstubAllGlobals());

test('beside a drag the numbers follow three times a second, and at once when it ends', async () => {
  const { tell, wait } = setUp({ cost: 1 });
  await tell({ count: 1 });
  await wait(299);
  expectShown(0);
  await wait(2);
  expectShown(1);
  await tell({ count: 2 });
  expectShown(1);
  await tell({ count: 3, session: LET_GO });
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

test('numbers follow about once a second when the frames of a drag come late', async () => {
  const { tell, wait, frames } = setUp({ cost: 1 });
  await wait(400);
  frames(60, 40);
  await tell({ count: 1 });
  await wait(890);
  expectShown(0);
  await wait(20);
  expectShown(0);
  frames(1, 40);
  await wait(0);
  expectShown(1);
});

const beside = (panel: ReactNode) => <DrawnBeside place="beam">{panel}</DrawnBeside>;

test('a drawing beside the one in hand follows in every frame while they come in time', async () => {
  const { tell, frames } = setUp({ cost: 1, around: beside });
  frames(60, 16.7);
  for (const count of [1, 2, 3]) {
    await tell({ count });
    expectShown(count);
  }
});

test('while frames come late a drawing beside the one in hand follows after others were drawn, and at once when it is let go', async () => {
  const { tell, wait, frames } = setUp({ cost: 1, around: beside });
  frames(60, 40);
  await wait(300);
  await tell({ count: 1 });
  expectShown(0);
  frames(1, 40);
  await wait(0);
  expectShown(1);
  await tell({ count: 2 });
  await wait(240);
  expectShown(1);
  await wait(20);
  frames(1, 40);
  await wait(0);
  expectShown(2);
  await tell({ count: 3 });
  await tell({ count: 4, session: LET_GO });
  expectShown(4);
});

test('what is in hand follows at once however late frames come, also within other drawings', async () => {
  const { tell, frames } = setUp({
    cost: 1,
    around: (panel) => (
      <DrawnBeside place="sheet">
        <DrawnBeside place="strips">{panel}</DrawnBeside>
      </DrawnBeside>
    ),
  });
  expect(screen.getByText(/count/).textContent).toContain('on sheet, strips');
  frames(60, 40);
  await tell({ session: { dragging: true, heldOn: ['sheet', 'strips'] } });
  for (const count of [1, 2, 3]) {
    await tell({ count });
    expectShown(count);
  }
});
