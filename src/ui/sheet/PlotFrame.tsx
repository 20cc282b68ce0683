import type { ReactNode } from 'react';
import { Typeset } from '../numbers/Typeset';
import { linear, type Interval, type Scale, ticksApart } from './scale';

export interface Axis {
  readonly domain: Interval;
  /** What is measured, with its unit. */
  readonly name: string;
  readonly format: (value: number) => string;
  readonly ticks?: number;
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Both axes of a box in pixels; what is larger lies further right and higher. */
export const scalesOf = (box: Box, x: Axis, y: Axis): { u: Scale; v: Scale } => ({
  u: linear(x.domain, [box.left, box.left + box.width]),
  v: linear(y.domain, [box.top + box.height, box.top]),
});

/** Nearer than that numbers one over the other cannot be read [px]. */
const LINE = 13;

interface PlotFrameProps {
  readonly box: Box;
  readonly x: Axis;
  readonly y: Axis;
  readonly children: ReactNode;
}

/** Ruled paper with ticks and names outside of it: every curve of a sheet is drawn on it. */
export function PlotFrame({ box, x, y, children }: PlotFrameProps) {
  const { u, v } = scalesOf(box, x, y);
  const bottom = box.top + box.height;
  const upwards = ticksApart(v, y.ticks ?? 5, LINE);
  return (
    <g fontSize={11} fill="var(--color-faint)">
      <g aria-hidden="true" stroke="var(--color-soft)">
        {u.ticks(x.ticks ?? 6).map((tick) => (
          <path key={tick} d={`M${u(tick)} ${box.top} V${bottom}`} />
        ))}
        {upwards.map((tick) => (
          <path key={tick} d={`M${box.left} ${v(tick)} h${box.width}`} />
        ))}
      </g>
      <g aria-hidden="true">
        {u.ticks(x.ticks ?? 6).map((tick) => (
          <text key={tick} x={u(tick)} y={bottom + 16} textAnchor="middle">
            {x.format(tick)}
          </text>
        ))}
        {upwards.map((tick) => (
          <text key={tick} x={box.left - 5} y={v(tick) + 3} textAnchor="end">
            {y.format(tick)}
          </text>
        ))}
        <text x={box.left + box.width / 2} y={bottom + 30} textAnchor="middle" fontSize={12}>
          <Typeset text={x.name} inDrawing />
        </text>
        <text x={box.left - 28} y={box.top - 22} fontSize={12}>
          <Typeset text={y.name} inDrawing />
        </text>
      </g>
      {children}
    </g>
  );
}
