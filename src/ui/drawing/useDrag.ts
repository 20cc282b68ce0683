import type { FieldChange } from '@/core/2-document/edit/field';
import { useRef } from 'react';
import { endDrag, setFields, startDrag } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { usePlaces } from '../shell/PacedProvider';
import { KEY_STEPS } from './keySteps';

interface DragInput {
  /** Millimetres per pixel, to the right and up. */
  readonly perPixel: number;
  readonly edits: (dx: number, dy: number) => FieldChange[];
  /** Nearly the same at less cost, for as long as it moves: let go, `edits` counts. */
  readonly editsInMotion?: (dx: number, dy: number) => FieldChange[];
}

let gestures = 0;

/** A gesture is one step of the history; moves are taken once a frame. */
export function useDrag() {
  const dispatch = useAppDispatch();
  const places = usePlaces();
  const frame = useRef<number | null>(null);

  const begin = (event: React.PointerEvent, { perPixel, edits, editsInMotion }: DragInput) => {
    if (event.button !== 0) return;
    event.preventDefault();
    const target = event.currentTarget;
    target.setPointerCapture(event.pointerId);
    (target as unknown as SVGElement).focus();
    const gesture = `drag-${++gestures}-${Date.now()}`;
    const start = { x: event.clientX, y: event.clientY };
    let latest = start;
    let moved = false;
    const apply = (of: DragInput['edits']) => {
      frame.current = null;
      dispatch(setFields(of((latest.x - start.x) * perPixel, (start.y - latest.y) * perPixel), gesture));
    };
    const move = (next: Event) => {
      const { clientX, clientY } = next as PointerEvent;
      latest = { x: clientX, y: clientY };
      if (!moved) dispatch(startDrag(places));
      moved = true;
      frame.current ??= requestAnimationFrame(() => apply(editsInMotion ?? edits));
    };
    const stop = () => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', stop);
      target.removeEventListener('pointercancel', stop);
      if (frame.current !== null) cancelAnimationFrame(frame.current);
      if (frame.current !== null || (moved && editsInMotion)) apply(edits);
      if (moved) dispatch(endDrag());
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', stop);
    target.addEventListener('pointercancel', stop);
  };

  /** Arrow keys: one millimetre, ten with Shift. */
  const nudge = (event: React.KeyboardEvent, edits: DragInput['edits']) => {
    const step = KEY_STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const size = event.shiftKey ? 10 : 1;
    dispatch(setFields(edits(step[0] * size, step[1] * size)));
  };

  return { begin, nudge };
}
