/**
 * Our own marks, the same in every view: a plumb for where it balances, an open
 * lozenge for the neutral point, a hatched gate for the window. Shape tells
 * them apart, not colour alone.
 */

/** Of another state than the present one. */
const FAINT = 0.4;

interface MarkProps {
  readonly x: number;
  readonly y: number;
  readonly faint?: boolean;
}

/** Where it balances: a plumb whose point touches (x, y). */
export function BalanceMark({ x, y, faint = false }: MarkProps) {
  return (
    <g strokeOpacity={faint ? FAINT : 1} data-mark="balance">
      <path
        d={`M${x} ${y} l-6 -10 a6.5 6.5 0 1 1 12 0 Z`}
        fill={faint ? 'none' : 'var(--color-balance)'}
        stroke="var(--color-balance)"
        strokeWidth={1.5}
        strokeDasharray={faint ? '3 2' : undefined}
      />
      {!faint && <path d={`M${x - 3} ${y - 13.5} h6`} stroke="var(--color-sheet)" strokeWidth={1.5} />}
    </g>
  );
}

/** Neutral point: an open lozenge around (x, y). */
export function NeutralMark({ x, y, faint = false }: MarkProps) {
  return (
    <g strokeOpacity={faint ? FAINT : 1} fillOpacity={faint ? FAINT : 1} data-mark="neutral">
      <path
        d={`M${x} ${y - 8} l6 8 l-6 8 l-6 -8 Z`}
        fill="var(--color-sheet)"
        stroke="var(--color-graphite)"
        strokeWidth={1.6}
        strokeDasharray={faint ? '3 2' : undefined}
      />
      <circle cx={x} cy={y} r={1.4} fill="var(--color-graphite)" />
    </g>
  );
}

interface GateProps {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly bottom: number;
}

/** Balance window: a hatched stretch between two gate posts. */
export function WindowMark({ from, to, top, bottom }: GateProps) {
  const width = to - from;
  return (
    <g data-mark="window">
      <rect
        x={Math.min(from, to)}
        y={top}
        width={Math.abs(width)}
        height={bottom - top}
        fill="url(#window-hatch)"
        stroke="none"
      />
      <path
        d={`M${from + 4} ${top} H${from} V${bottom} H${from + 4} M${to - 4} ${top} H${to} V${bottom} H${to - 4}`}
        fill="none"
        stroke="var(--color-balance)"
        strokeWidth={2}
      />
    </g>
  );
}

/** Patterns that the marks of all drawings use; once on the page. */
export function MarkDefinitions() {
  return (
    <svg width={0} height={0} className="absolute" aria-hidden="true">
      <defs>
        <pattern id="window-hatch" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={6} height={6} fill="var(--color-balance-soft)" />
          <path d="M0 0 V6" stroke="var(--color-balance)" strokeWidth={1} opacity={0.45} />
        </pattern>
      </defs>
    </svg>
  );
}
