import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { LAYER_LOOKS, type Layer, linesOf } from '@/files/plans/layers';

interface LaidPartFigureProps {
  readonly outline: PartOutline;
  readonly paper: {
    readonly place: (point: readonly [number, number]) => readonly [number, number];
    readonly scale: number;
    readonly isMirrored: boolean;
  };
  readonly isChosen: boolean;
  readonly isClashing: boolean;
}

/** Letters less high are left to the table [px]. */
const READABLE = 5;

/** The lines and words of a part as it lies on its sheet. */
export function LaidPartFigure({ outline, paper, isChosen, isClashing }: LaidPartFigureProps) {
  return (
    <>
      {linesOf(outline).map(([layer, path], line) => (
        <path
          key={line}
          d={svgPath(path, paper)}
          fill={line === 0 ? fillOf(isChosen, isClashing) : 'none'}
          stroke={line === 0 && isClashing ? 'var(--color-stop)' : strokeOf(layer)}
          strokeWidth={layer === 'cut' ? 1.2 : 0.8}
          {...(LAYER_LOOKS[layer].dash === null ? {} : { strokeDasharray: LAYER_LOOKS[layer].dash! })}
        />
      ))}
      {outline.texts
        .filter(({ height }) => height * paper.scale >= READABLE)
        .map(({ words, at, height, turn }, text) => (
          <text
            key={text}
            transform={`translate(${paper.place(at).join(' ')}) rotate(${degreesFromRadians(-turn)})`}
            fontSize={height * paper.scale}
            fill="var(--color-graphite)"
            aria-hidden="true"
          >
            {words}
          </text>
        ))}
    </>
  );
}

const fillOf = (isChosen: boolean, isClashing: boolean): string =>
  isClashing ? 'var(--color-stop-soft)' : isChosen ? 'var(--color-balance-soft)' : 'white';

const strokeOf = (layer: Layer): string => (layer === 'cut' ? 'var(--color-graphite)' : LAYER_LOOKS[layer].colour);
