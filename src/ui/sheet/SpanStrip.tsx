import type { ReactNode } from 'react';
import { Typeset } from '../numbers/Typeset';
import { linear, pathThrough, type Places, spanOf, valueAt } from './scale';
import { Outline } from './Outline';

export interface StripCurve {
  readonly name: string;
  readonly places: Places;
  readonly look: keyof typeof LOOKS;
}

interface SpanStripProps {
  readonly name: ReactNode & string;
  readonly curves: readonly StripCurve[];
  readonly format: (value: number) => string;
  /** Pixels of a distance from the plane of symmetry, right side positive [mm]. */
  readonly u: (y: number) => number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly height: number;
  /** Where the numbers are read [mm]. */
  readonly at: number;
  /** Whether nought belongs to it. */
  readonly fromNought?: boolean;
}

const LOOKS = {
  strong: { stroke: 'var(--color-balance)', strokeWidth: 2.4 },
  plain: { stroke: 'var(--color-graphite)', strokeWidth: 1.4 },
  dotted: { stroke: 'var(--color-graphite)', strokeWidth: 1.4, strokeDasharray: '3 3' },
  dashed: { stroke: 'var(--color-graphite)', strokeWidth: 1.4, strokeDasharray: '8 3' },
  faint: { stroke: 'var(--color-faint)', strokeWidth: 1 },
} as const;
/** Room of one line of text [px]. */
const LINE = 14;

/** One quantity along the span, on the span axis of the plan above it; both halves alike. */
export function SpanStrip(props: SpanStripProps) {
  const { name, curves, format, u, left, right, top, height, at, fromNought = false } = props;
  const values = curves.flatMap(({ places }) => places.map(([, value]) => value));
  const [low, high] = spanOf(fromNought ? [0, ...values] : values, 1e-3);
  const v = linear([low, high], [top + height - 3, top + 3]);
  const bottom = top + height;
  const middle = top + height / 2;
  return (
    <g fontSize={12} fill="var(--color-faint)" aria-hidden="true">
      <path d={`M${left} ${bottom} H${right}`} stroke="var(--color-rule)" />
      {fromNought && low < 0 && <path d={`M${left} ${v(0)} H${right}`} stroke="var(--color-soft)" />}
      <text x={left - 10} y={middle + 4} textAnchor="end" fill="var(--color-graphite)" fontWeight={500}>
        <Typeset text={name} inDrawing />
      </text>
      {curves.map(({ name: of, places, look }) =>
        [1, -1].map((side) => (
          <Outline
            key={`${of}${side}`}
            d={pathThrough(places.map(([y, value]) => [u(side * y), v(value)]))}
            fill="none"
            {...LOOKS[look]}
          />
        )),
      )}
      {curves.map(({ name: of, places, look }, index) => {
        const value = valueAt(places, at);
        const y = middle + (index - (curves.length - 1) / 2) * LINE + 4;
        return value === null ? null : (
          <g key={of}>
            {curves.length > 1 && <path d={`M${right + 8} ${y - 4} h14`} fill="none" {...LOOKS[look]} />}
            <text x={right + (curves.length > 1 ? 27 : 8)} y={y}>
              {of && `${of} `}
              <tspan fill="var(--color-graphite)">{format(value)}</tspan>
            </text>
          </g>
        );
      })}
    </g>
  );
}
