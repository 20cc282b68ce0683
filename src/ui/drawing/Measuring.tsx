import { useMemo, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { measured, type Measure } from '@/store/sessionSlice';
import { formatLength } from '@/words/formatQuantity';
import { type Anchor, anchorsOf, nearestAnchor } from './anchors';
import { Dimension } from './Dimension';
import type { PlanFrame } from './planFrame';

/** Points are met from this near [px]. */
const NEAR = 16;

interface MeasuringProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  readonly frame: PlanFrame;
  /** Whether two points are being chosen. */
  readonly isOn: boolean;
}

/** Dimensions between any two points of the drawing; they follow the points when these move. */
export function Measuring({ design, placed, frame, isOn }: MeasuringProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const measures = useAppSelector((state) => state.session.measures);
  const isAsked = isOn || measures.length > 0;
  const anchors = useMemo(() => (isAsked ? anchorsOf(design, placed) : []), [isAsked, design, placed]);
  const [first, setFirst] = useState<{ readonly view: Measure['view']; readonly id: string } | null>(null);
  const [near, setNear] = useState<{ readonly view: Measure['view']; readonly anchor: Anchor } | null>(null);
  const known = new Map(anchors.map((anchor) => [anchor.id, anchor]));
  const { u, plan, side, scale, extents, sideOnly } = frame;
  const place = (view: Measure['view'], { at }: Anchor) =>
    [u(at[0]), view === 'plan' ? plan(at[1]) : side(at[2])] as const;
  /** The anchor under the hand; below the plan lies the view from the side. */
  const find = (event: React.PointerEvent<SVGElement>) => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const [px, py] = [event.clientX - box.left, event.clientY - box.top];
    const view = !sideOnly && py < side(extents.zMax) - 12 ? ('plan' as const) : ('side' as const);
    const x = extents.xMin + (px - u(extents.xMin)) / scale;
    const across = view === 'plan' ? (plan(0) - py) / scale : (side(0) - py) / scale;
    const anchor = nearestAnchor(anchors, view, [x, view === 'plan' ? Math.abs(across) : across], NEAR / scale);
    return anchor && { view, anchor };
  };
  const take = (event: React.PointerEvent<SVGElement>) => {
    event.stopPropagation();
    const found = find(event);
    if (!found) return setFirst(null);
    if (!first || first.view !== found.view || first.id === found.anchor.id)
      return setFirst({ view: found.view, id: found.anchor.id });
    dispatch(measured({ view: first.view, from: first.id, to: found.anchor.id }));
    setFirst(null);
  };
  const begun = first && known.get(first.id);
  return (
    <g data-testid="measures">
      {measures.map(({ view, from, to }) => {
        const [a, b] = [known.get(from), known.get(to)];
        if (!a || !b || (view === 'plan' && sideOnly)) return null;
        const across = view === 'plan' ? b.at[1] - a.at[1] : b.at[2] - a.at[2];
        return (
          <Dimension
            key={`${view} ${from} ${to}`}
            from={place(view, a)}
            to={place(view, b)}
            text={formatLength(Math.hypot(b.at[0] - a.at[0], across), units)}
          />
        );
      })}
      {isOn && (
        <>
          <rect
            width={frame.width}
            height={frame.height}
            fill="transparent"
            style={{ cursor: 'crosshair' }}
            data-testid="measuring"
            onPointerMove={(event) => setNear(find(event))}
            onPointerLeave={() => setNear(null)}
            onPointerDown={take}
          />
          <g fill="none" stroke="var(--color-balance)" strokeWidth={2} pointerEvents="none">
            {begun && <circle cx={place(first.view, begun)[0]} cy={place(first.view, begun)[1]} r={6} />}
            {near && (
              <circle cx={place(near.view, near.anchor)[0]} cy={place(near.view, near.anchor)[1]} r={4}>
                <title>{near.anchor.words}</title>
              </circle>
            )}
          </g>
          <text
            x={frame.width / 2}
            y={frame.height - 12}
            textAnchor="middle"
            fontSize={12}
            fill="var(--color-balance)"
            stroke="var(--color-paper)"
            strokeWidth={4}
            paintOrder="stroke"
            role="status"
          >
            {near ? near.anchor.words : begun ? `From ${begun.words}: press the second point` : 'Press two points'}
          </text>
        </>
      )}
    </g>
  );
}
