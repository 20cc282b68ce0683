import { type RefObject, useCallback, useEffect, useState } from 'react';

export interface Zoom {
  readonly factor: number;
  readonly x: number;
  readonly y: number;
}

export const FITTED: Zoom = { factor: 1, x: 0, y: 0 };
const RANGE = { least: 0.4, most: 12 } as const;

const bounded = (factor: number) => Math.min(RANGE.most, Math.max(RANGE.least, factor));

/** Zoomed about a point of the view, which stays under the hand [px from the middle]. */
export function zoomedAt(zoom: Zoom, by: number, px: number, py: number): Zoom {
  const factor = bounded(zoom.factor * by);
  const ratio = factor / zoom.factor;
  return { factor, x: px - (px - zoom.x) * ratio, y: py - (py - zoom.y) * ratio };
}

/** Zoom and pan of a drawing: wheel, drag on empty paper, keys + − 0 and Alt with arrows. */
export function useZoom(ref: RefObject<HTMLElement | null>) {
  const [zoom, setZoom] = useState<Zoom>(FITTED);

  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const px = event.clientX - box.left - box.width / 2;
      const py = event.clientY - box.top - box.height / 2;
      setZoom((before) => zoomedAt(before, Math.exp(-event.deltaY / 500), px, py));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [ref]);

  /** Begins a pan on empty paper. */
  const onPointerDown = (event: React.PointerEvent) => {
    const target = event.target as Element;
    if (event.button !== 0 || target.closest('[data-handle], button, input')) return;
    const start = { x: event.clientX, y: event.clientY };
    const element = event.currentTarget;
    element.setPointerCapture(event.pointerId);
    const before = zoom;
    const move = (next: Event) => {
      const { clientX, clientY } = next as PointerEvent;
      setZoom({ ...before, x: before.x + clientX - start.x, y: before.y + clientY - start.y });
    };
    const stop = () => {
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', stop);
      element.removeEventListener('pointercancel', stop);
    };
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', stop);
    element.addEventListener('pointercancel', stop);
  };

  const closer = useCallback(() => setZoom((before) => zoomedAt(before, 1.25, 0, 0)), []);
  const further = useCallback(() => setZoom((before) => zoomedAt(before, 0.8, 0, 0)), []);
  const fit = useCallback(() => setZoom(FITTED), []);

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement) return;
    const pans: Record<string, [number, number]> = {
      ArrowLeft: [40, 0],
      ArrowRight: [-40, 0],
      ArrowUp: [0, 40],
      ArrowDown: [0, -40],
    };
    const pan = event.altKey ? pans[event.key] : undefined;
    if (event.key === '+' || event.key === '=') setZoom((before) => zoomedAt(before, 1.25, 0, 0));
    else if (event.key === '-') setZoom((before) => zoomedAt(before, 0.8, 0, 0));
    else if (event.key === '0') setZoom(FITTED);
    else if (pan) setZoom((before) => ({ ...before, x: before.x + pan[0], y: before.y + pan[1] }));
    else return;
    event.preventDefault();
  };

  return {
    zoom,
    onPointerDown,
    onKeyDown,
    closer,
    further,
    fit,
  };
}
