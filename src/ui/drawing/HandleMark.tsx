import type { Handle } from './handles';
import { useDrag } from './useDrag';

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

/**
 * A grip on the geometry: drag it, or focus it and use the arrow keys. Drawn
 * where it lies, without a transform: browsers paint each of those by itself.
 */
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
      <circle cx={x} cy={y} r={reach} fill="transparent" />
      <circle className="focus-ring" cx={x} cy={y} r={10} fill="none" stroke="transparent" strokeWidth={2} />
      {handle.axes === 'both' ? (
        <rect
          x={x - 5}
          y={y - 5}
          width={10}
          height={10}
          fill="var(--color-sheet)"
          stroke="var(--color-balance)"
          strokeWidth={2}
        />
      ) : (
        <path
          d={
            handle.axes === 'x'
              ? `M${x - 7} ${y} l5 -5 v10 Z M${x + 7} ${y} l-5 -5 v10 Z`
              : `M${x} ${y - 7} l-5 5 h10 Z M${x} ${y + 7} l-5 -5 h10 Z`
          }
          fill="var(--color-sheet)"
          stroke="var(--color-balance)"
          strokeWidth={1.6}
        />
      )}
      <title>{`${handle.label}: ${handle.valueText}`}</title>
    </g>
  );
}
