interface DimensionProps {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly text?: string;
}

/** A dimension line with ticks, drawn in pixels; its text lies along it. */
export function Dimension({ from, to, text }: DimensionProps) {
  const upright = Math.abs(to[0] - from[0]) < Math.abs(to[1] - from[1]);
  const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
  const tick = (x: number, y: number) => `M${x - 4} ${y + 4} L${x + 4} ${y - 4}`;
  return (
    <g aria-hidden="true" fontSize={12} fill="var(--color-graphite)" stroke="none" data-testid="dimension">
      <path
        d={`M${from.join(' ')} L${to.join(' ')} ${tick(...from)} ${tick(...to)}`}
        stroke="var(--color-faint)"
        fill="none"
      />
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
