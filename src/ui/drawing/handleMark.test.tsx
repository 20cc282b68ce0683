import 'fake-indexeddb/auto';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { show } from '#/tests/render';
import { idle } from '#/tests/session';
import { field } from '@/core/2-document/edit/field';
import { undone } from '@/store/documentSlice';
import { DrawnBeside } from '../shell/PacedProvider';
import { HandleMark } from './HandleMark';

const toSpeed = (speed: number) => [field('conditions', 'cruiseSpeed').to(speed)];

async function handle(inMotion: ((dx: number, dy: number) => ReturnType<typeof toSpeed>) | undefined) {
  const edits = vi.fn((dx: number, dy: number) => toSpeed(10 + dx / 10 + dy / 10));
  const mark = {
    id: 'made-up',
    label: 'Made-up handle',
    view: 'plan',
    at: [0, 0],
    axes: 'both',
    value: 10,
    valueText: '10',
    edits,
    ...(inMotion ? { editsInMotion: inMotion } : {}),
  } as const;
  const shown = await show(
    simpleAircraft(),
    <DrawnBeside place="sheet">
      <svg>
        <HandleMark handle={mark} x={0} y={0} perPixel={1} />
      </svg>
    </DrawnBeside>,
    idle,
  );
  const grip = screen.getByRole('slider', { name: 'Made-up handle' });
  grip.setPointerCapture = () => undefined;
  return { ...shown, edits, grip, speed: () => shown.design().conditions.cruiseSpeed };
}

test('in motion it may be counted nearly; let go, it counts as it is, and the whole is one step back', async () => {
  const inMotion = vi.fn((dx: number) => toSpeed(10 + dx / 10 + 0.3));
  const { grip, edits, speed, dispatch } = await handle(inMotion);
  const before = speed();
  fireEvent.pointerDown(grip, { button: 0, clientX: 0, clientY: 0 });
  fireEvent.pointerMove(grip, { clientX: 20, clientY: 0 });
  await waitFor(() => expect(speed()).toBeCloseTo(12.3, 9));
  expect(edits).not.toHaveBeenCalled();
  fireEvent.pointerUp(grip);
  expect(speed()).toBeCloseTo(12, 9);
  expect(edits).toHaveBeenCalledExactlyOnceWith(20, 0);
  dispatch(undone());
  expect(speed()).toBe(before);
});

test('a press that does not move changes nothing; a move that was not drawn yet still counts', async () => {
  const { grip, edits, speed } = await handle(undefined);
  const before = speed();
  fireEvent.pointerDown(grip, { button: 0, clientX: 0, clientY: 0 });
  fireEvent.pointerUp(grip);
  expect(speed()).toBe(before);
  expect(edits).not.toHaveBeenCalled();
  fireEvent.pointerDown(grip, { button: 0, clientX: 0, clientY: 0 });
  fireEvent.pointerMove(grip, { clientX: 10, clientY: -20 });
  fireEvent.pointerUp(grip);
  expect(speed()).toBeCloseTo(13, 9);
});

test('a drag tells what the handle lies on for as long as it goes on', async () => {
  const { grip, session } = await handle(undefined);
  const heldOn = () => session.store.getState().session.heldOn;
  fireEvent.pointerDown(grip, { button: 0, clientX: 0, clientY: 0 });
  expect(heldOn()).toEqual([]);
  fireEvent.pointerMove(grip, { clientX: 20, clientY: 0 });
  expect(heldOn()).toEqual(['sheet']);
  fireEvent.pointerUp(grip);
  expect(heldOn()).toEqual([]);
});
