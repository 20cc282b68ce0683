import { useState } from 'react';
import { scaledByTwoPoints, changeUnderlay } from '@/store/underlays';
import { useAppDispatch } from '@/store/hooks';
import type { PlanFrame } from '../drawing/planFrame';
import { QuantityField } from '../fields/QuantityField';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import type { LaidPhoto } from './useUnderlays';

type Place = readonly [number, number];

interface TwoPointsProps {
  readonly photo: LaidPhoto;
  readonly frame: PlanFrame;
  readonly onDone: () => void;
}

/** A picture is brought to scale: two of its points are pressed, and how far apart they are is typed. */
export function TwoPoints({ photo, frame, onDone }: TwoPointsProps) {
  const dispatch = useAppDispatch();
  const [points, setPoints] = useState<readonly Place[]>([]);
  const { u, plan, side, scale, extents } = frame;
  const { view } = photo.underlay;
  const across = view === 'plan' ? plan : side;
  const press = (event: React.PointerEvent<HTMLDivElement>) => {
    event.stopPropagation();
    if (points.length === 2 || (event.target as Element).closest('form')) return;
    const box = event.currentTarget.getBoundingClientRect();
    setPoints([
      ...points,
      [
        extents.xMin + (event.clientX - box.left - u(extents.xMin)) / scale,
        (across(0) - (event.clientY - box.top)) / scale,
      ],
    ]);
  };
  const [first, second] = points;
  return (
    <div
      className="absolute inset-0 z-10 cursor-crosshair"
      onPointerDown={press}
      data-testid="two-points"
      role="application"
      aria-label="Two points of the picture"
    >
      <svg className="h-full w-full" aria-hidden="true">
        {points.map(([x, y], index) => (
          <circle
            key={index}
            cx={u(x)}
            cy={across(y)}
            r={6}
            fill="none"
            stroke="var(--color-balance)"
            strokeWidth={2}
          />
        ))}
      </svg>
      <form
        className="absolute bottom-2 left-1/2 flex -translate-x-1/2 items-end gap-2 border border-graphite bg-sheet px-2 py-1 text-read"
        onSubmit={(event) => event.preventDefault()}
      >
        {first && second ? (
          <QuantityField
            label="These two are apart"
            kind="length"
            value={undefined}
            placeholder="length"
            onCommit={(apart) => {
              const scaled = scaledByTwoPoints(photo.underlay, [first, second], apart);
              if (!scaled) return { path: '', message: 'must be more than nothing, between two points' };
              void told('It was not scaled', () => dispatch(changeUnderlay(photo, scaled)));
              onDone();
              return null;
            }}
          />
        ) : (
          <p className="py-1">Press {first ? 'the second' : 'one'} point whose distance from another you know</p>
        )}
        <Button onClick={onDone}>Leave it</Button>
      </form>
    </div>
  );
}
