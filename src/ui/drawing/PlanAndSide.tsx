import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { useMemo, useState } from 'react';
import { setFields } from '@/store/edit';
import { formatLength } from '@/words/formatQuantity';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Dimension } from './Dimension';
import { DimensionEntry } from './DimensionEntry';
import { GhostOutlines } from './GhostOutlines';
import { HandleMark } from './HandleMark';
import { type Handle, spanEdits } from './handles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { planFrame } from './planFrame';
import { PlanGeometry } from './PlanGeometry';
import { PlanMarks } from './PlanMarks';
import { useSize } from './useSize';
import type { Zoom } from './useZoom';

interface PlanAndSideProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  /** Draw the air too: wash at each surface, neutral point without tail. */
  readonly withAir?: boolean;
  readonly whole: boolean;
  readonly sideOnly?: boolean;
  readonly zoom: Zoom;
  /** Another state of the design, drawn dashed underneath. */
  readonly ghost: Design | null;
  /** Surface whose dimensions can be typed. */
  readonly dimensioned: string | null;
  /** Angles of surfaces from the side are drawn so many times as steep. */
  readonly steeper?: number;
}

/** Plan above, side below, on one lengthwise scale: nose to the left. */
export function PlanAndSide({
  design,
  handles,
  withAir = false,
  whole,
  sideOnly = false,
  zoom,
  ghost,
  dimensioned,
  steeper = 1,
}: PlanAndSideProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const dragging = useAppSelector((state) => state.session.dragging);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const wanted = useMemo(() => extentsOf(design, placed), [design, placed]);
  // The scale rests while something is dragged, so that the handle stays under the hand.
  const [held, setHeld] = useState(wanted);
  if (!dragging && held !== wanted) setHeld(wanted);
  const extents = dragging ? held : wanted;

  const frame = useMemo(
    () => planFrame({ width, height, extents, whole, sideOnly, zoom }),
    [width, height, extents, whole, sideOnly, zoom],
  );
  const { u, plan, side, scale } = frame;
  const focus = placed.find(({ id }) => id === dimensioned) ?? null;
  const tip = focus?.stations.at(-1);
  const focusUpright =
    focus !== null && tip !== undefined && Math.abs(tip.z - focus.stations[0]!.z) > 0.7 * tip.distance;
  const across = (station: { readonly y: number; readonly z: number }) =>
    focusUpright ? side(millimetresFromMetres(station.z)) : plan(millimetresFromMetres(station.y));
  const reach =
    focus && tip
      ? millimetresFromMetres(Math.abs(focusUpright ? tip.z - focus.stations[0]!.z : tip.y - focus.stations[0]!.y))
      : 0;
  const setFieldsOf = (edits: FieldChange[]) => dispatch(setFields(edits));

  return (
    <div className="relative h-full min-h-0 w-full" ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={`Drawing of ${design.name}: plan above, side below, nose to the left`}
          data-testid="drawing"
        >
          <PlanGeometry design={design} placed={placed} frame={frame} steeper={steeper} />
          {ghost && <GhostOutlines design={ghost} frame={frame} />}
          <PlanMarks frame={frame} placed={placed} withAir={withAir} />
          {focus && tip && (
            <Dimension
              from={[u(extents.xMax) + 26, across(focus.stations[0]!)]}
              to={[u(extents.xMax) + 26, across(tip)]}
            />
          )}
          <Dimension
            from={[u(extents.xMin), side(extents.zMin) + 22]}
            to={[u(extents.xMax), side(extents.zMin) + 22]}
            text={`length ${formatLength(extents.xMax - extents.xMin, units)}`}
          />
          {handles.map((handle) => (
            <HandleMark
              key={handle.id}
              handle={handle}
              x={u(handle.at[0])}
              y={handle.view === 'plan' ? plan(handle.at[1]) : side(handle.at[1])}
              perPixel={1 / scale}
            />
          ))}
        </svg>
      )}
      {width > 0 && focus && tip && (
        <>
          <DimensionEntry
            label={focusUpright ? 'height' : 'half span'}
            x={u(extents.xMax) + 26}
            y={(across(focus.stations[0]!) + across(tip)) / 2}
            upright
            value={reach}
            onCommit={(wanted) => setFieldsOf(spanEdits(focus.source, wanted / reach))}
          />
          {[focus.stations[0]!, tip].map((station, index) => (
            <DimensionEntry
              key={index}
              label={index === 0 ? 'root' : 'tip'}
              x={u(millimetresFromMetres(station.x + station.chord / 2))}
              y={across(station) + (focusUpright ? -14 : index === 0 ? 14 : -14)}
              value={millimetresFromMetres(station.chord)}
              onCommit={(chord) =>
                setFieldsOf([
                  field('surfaces', focus.id, 'stations', index === 0 ? 0 : focus.stations.length - 1, 'chord').to(
                    chord,
                  ),
                ])
              }
            />
          ))}
        </>
      )}
    </div>
  );
}
