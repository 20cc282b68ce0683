import { Outline } from '../sheet/Outline';

interface DimensionProps {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly text?: string;
}

/** A dimension line with ticks, drawn in pixels; its text lies along it. */
export function Dimension({ from, to, text }: DimensionProps) {
  const upright = Math.abs(to[0] - from[0]) < Math.abs(to[1] - from[1]);
  const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
  // Drawn without lifting the pen: along each tick, to its middle, and on.
  const tick = (x: number, y: number) => `${x - 4} ${y + 4} L${x + 4} ${y - 4} L${x} ${y}`;
  return (
    <g aria-hidden="true" fontSize={12} fill="var(--color-graphite)" stroke="none" data-testid="dimension">
      <Outline d={`M${tick(...from)} L${to.join(' ')} L${tick(...to)}`} stroke="var(--color-faint)" fill="none" />
      {text !== undefined && (
        <text
          x={middle[0]}
          y={middle[1]}
          textAnchor="middle"
          dy={-5}
          transform={upright ? `rotate(-90 ${middle.join(' ')})` : undefined}
          paintOrder="stroke"
          stroke="var(--color-paper)"
          strokeWidth={4}
        >
          {text}
        </text>
      )}
    </g>
  );
}
