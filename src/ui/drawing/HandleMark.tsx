import { memo } from 'react';
import type { Handle } from './handles';
import { useDrag } from './useDrag';
import { around } from '../sheet/Outline';

interface HandleMarkProps {
  readonly handle: Handle;
  readonly x: number;
  readonly y: number;
  readonly perPixel: number;
  /** How far around it a press is its own [px]. */
  readonly reach?: number;
}

/** Around a handle that stands alone, and around one among others [px]. */
const WIDEST = 15;
const LEAST = 7;

/** How far around each of these handles a press is its own: half way to the nearest other one. */
export function reaches(places: readonly (readonly [x: number, y: number])[]): number[] {
  return places.map(([x, y], index) =>
    places.reduce(
      (reach, [u, v], other) =>
        other === index ? reach : Math.max(LEAST, Math.min(reach, Math.hypot(u - x, v - y) / 2)),
      WIDEST,
    ),
  );
}

const CURSOR = { x: 'ew-resize', y: 'ns-resize', both: 'move' } as const;

/** Two arrows on one stem. */
const UP_AND_DOWN = [
  [0, -7],
  [5, -2],
  [0, -2],
  [0, 2],
  [5, 2],
  [0, 7],
  [-5, 2],
  [0, 2],
  [0, -2],
  [-5, -2],
] as const;

/** Corners of what is gripped, about its middle [px]. */
const GRIPS: Readonly<Record<Handle['axes'], readonly (readonly [right: number, down: number])[]>> = {
  both: [
    [-5, -5],
    [5, -5],
    [5, 5],
    [-5, 5],
  ],
  x: UP_AND_DOWN.map(([right, down]) => [down, right]),
  y: UP_AND_DOWN,
};

interface GripProps {
  readonly axes: Handle['axes'];
  readonly x: number;
  readonly y: number;
  readonly reach: number;
}

/**
 * What is seen of a handle, and around it what takes a press; most handles stay
 * where they are while one is dragged. Drawn where it lies, without a
 * transform: browsers paint each of those by itself; and by its corners:
 * circles and paths have their style worked out anew.
 */
const Grip = memo(function Grip({ axes, x, y, reach }: GripProps) {
  return (
    <>
      <polygon points={around(x, y, reach, 8)} fill="transparent" />
      <polygon className="focus-ring" points={around(x, y, 10, 24)} fill="none" stroke="transparent" strokeWidth={2} />
      <polygon
        points={GRIPS[axes].map(([right, down]) => `${x + right},${y + down}`).join(' ')}
        fill="var(--color-sheet)"
        stroke="var(--color-balance)"
        strokeWidth={axes === 'both' ? 2 : 1.6}
      />
    </>
  );
});

/** A grip on the geometry: drag it, or focus it and use the arrow keys. */
export function HandleMark({ handle, x, y, perPixel, reach = WIDEST }: HandleMarkProps) {
  const { begin, nudge } = useDrag();
  const alongAxes = (of: Handle['edits']) => (dx: number, dy: number) =>
    of(handle.axes === 'y' ? 0 : dx, handle.axes === 'x' ? 0 : dy);
  const edits = alongAxes(handle.edits);
  const editsInMotion = handle.editsInMotion && alongAxes(handle.editsInMotion);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-valuenow={Math.round(handle.value * 10) / 10}
      aria-valuetext={handle.valueText}
      aria-orientation={handle.axes === 'y' ? 'vertical' : 'horizontal'}
      data-handle={handle.id}
      style={{ cursor: CURSOR[handle.axes], touchAction: 'none' }}
      onPointerDown={(event) => begin(event, { perPixel, edits, ...(editsInMotion ? { editsInMotion } : {}) })}
      onKeyDown={(event) => nudge(event, edits)}
    >
      <Grip axes={handle.axes} x={x} y={y} reach={reach} />
      <title>{`${handle.label}: ${handle.valueText}`}</title>
    </g>
  );
}
