import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import { type ReactNode, useMemo } from 'react';
import { setFields } from '@/store/edit';
import { formatLength } from '@/words/formatQuantity';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Dimension } from './Dimension';
import { DimensionEntry } from './DimensionEntry';
import { GhostOutlines } from './GhostOutlines';
import { HandleMark, reaches } from './HandleMark';
import { type Handle, spanEdits } from './handles';
import { isUpright, placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { CameraCones } from './CameraCones';
import { Measuring } from './Measuring';
import { Paper } from '../sheet/Paper';
import { TwoPoints } from '../underlay/TwoPoints';
import { Underlays } from '../underlay/Underlays';
import type { LaidPhoto } from '../underlay/useUnderlays';
import { planFrame, type PlanFrame } from './planFrame';
import { PlanGeometry } from './PlanGeometry';
import { PlanMarks } from './PlanMarks';
import { useHeld } from './useHeld';
import { useSize } from './useSize';
import type { Zoom } from './useZoom';

/** Height of a line of tools, and the width under which they take two [px]. */
const TOOLS_HIGH = 40;
const TWO_LINES = 660;

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
  /** What a stage draws over it. */
  readonly overlay?: (frame: PlanFrame) => ReactNode;
  /** Kept free for it above the drawing [px]. */
  readonly headroom?: number;
  /** Whether the tools stand over it, on one line or on two. */
  readonly underTools?: boolean;
  /** Whether two points are being chosen to measure between. */
  readonly measuring?: boolean;
  /** A picture under the drawing that is brought to scale. */
  readonly scaling?: LaidPhoto;
  readonly onScaled?: () => void;
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
  overlay,
  headroom: wanted = 0,
  underTools = false,
  measuring = false,
  scaling,
  onScaled = () => undefined,
}: PlanAndSideProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const extents = useHeld(useMemo(() => extentsOf(design, placed), [design, placed]));

  const headroom = underTools ? (width < TWO_LINES ? 2 : 1) * TOOLS_HIGH : wanted;
  const frame = useMemo(
    () => planFrame({ width, height, extents, whole, sideOnly, zoom, headroom }),
    [width, height, extents, whole, sideOnly, zoom, headroom],
  );
  const { u, plan, side, scale } = frame;
  const focus = placed.find(({ id }) => id === dimensioned) ?? null;
  const tip = focus?.stations.at(-1);
  const focusUpright = focus !== null && isUpright(focus);
  const across = (station: { readonly y: number; readonly z: number }) =>
    focusUpright ? side(millimetresFromMetres(station.z)) : plan(millimetresFromMetres(station.y));
  const reach =
    focus && tip
      ? millimetresFromMetres(Math.abs(focusUpright ? tip.z - focus.stations[0]!.z : tip.y - focus.stations[0]!.y))
      : 0;
  const setFieldsOf = (edits: FieldChange[]) => dispatch(setFields(edits));

  const grips = (measuring ? [] : handles).map((handle) => ({
    handle,
    at: [u(handle.at[0]), handle.view === 'plan' ? plan(handle.at[1]) : side(handle.at[1])] as const,
  }));
  const ownReach = reaches(grips.map(({ at }) => at));

  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`Drawing of ${design.name}: plan above, side below, nose to the left`}
      over={
        <>
          {width > 0 && scaling && <TwoPoints key={scaling.id} photo={scaling} frame={frame} onDone={onScaled} />}
          {width > 0 && focus && tip && !measuring && (
            <>
              <DimensionEntry
                label={focusUpright ? 'height' : 'half span'}
                width={width}
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
                  width={width}
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
        </>
      }
    >
      <Underlays frame={frame} />
      <PlanGeometry design={design} placed={placed} frame={frame} steeper={steeper} />
      {ghost && <GhostOutlines design={ghost} frame={frame} steeper={steeper} />}
      <CameraCones design={design} frame={frame} />
      <PlanMarks frame={frame} placed={placed} withAir={withAir} />
      {focus && tip && (
        <Dimension from={[u(extents.xMax) + 26, across(focus.stations[0]!)]} to={[u(extents.xMax) + 26, across(tip)]} />
      )}
      <Dimension
        from={[u(extents.xMin), side(extents.zMin) + 22]}
        to={[u(extents.xMax), side(extents.zMin) + 22]}
        text={`length ${formatLength(extents.xMax - extents.xMin, units)}`}
      />
      {overlay?.(frame)}
      <Measuring design={design} placed={placed} frame={frame} isOn={measuring} />
      {grips.map(({ handle, at: [x, y] }, index) => (
        <HandleMark key={handle.id} handle={handle} x={x} y={y} perPixel={1 / scale} reach={ownReach[index]} />
      ))}
    </Paper>
  );
}
