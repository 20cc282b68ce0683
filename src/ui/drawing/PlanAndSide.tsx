import { useMemo, useState } from 'react';
import { type FieldEdit, setFields } from '@/store/edit';
import { formatLength } from '@/core/units/formatQuantity';
import type { Design } from '@/core/document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { BalanceMark, NeutralMark, WindowMark } from '../marks/marks';
import { Air } from './Air';
import { Dimension } from './Dimension';
import { DimensionEntry } from './DimensionEntry';
import { GhostOutlines } from './GhostOutlines';
import { HandleMark } from './HandleMark';
import { type Handle, spanEdits } from './handles';
import {
  bodyPlan,
  bodySide,
  extentsOf,
  hingeLines,
  type Outline,
  placeAll,
  planOutline,
  sideOutline,
} from './outlines';
import { useSize } from './useSize';
import type { Zoom } from './useZoom';

const PADDING = 46;
/** Between the two views [px]. */
const GAP = 44;

interface PlanAndSideProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  /** Draw the air too: wash at each surface, neutral point without tail. */
  readonly withAir?: boolean;
  readonly whole: boolean;
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
  zoom,
  ghost,
  dimensioned,
  steeper = 1,
}: PlanAndSideProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const dragging = useAppSelector((state) => state.session.dragging);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const wanted = useMemo(() => extentsOf(design, placed), [design, placed]);
  // The scale rests while something is dragged, so that the handle stays under the hand.
  const [held, setHeld] = useState(wanted);
  if (!dragging && held !== wanted) setHeld(wanted);
  const extents = dragging ? held : wanted;

  const sides = whole ? 2 : 1;
  const tall = sides * extents.yMax + (extents.zMax - extents.zMin);
  const fitted = Math.max(
    0.02,
    Math.min((width - 2 * PADDING) / (extents.xMax - extents.xMin), (height - 2 * PADDING - GAP) / tall),
  );
  const scale = fitted * zoom.factor;
  const zoomX = (x: number) => width / 2 + (x - width / 2) * zoom.factor + zoom.x;
  const zoomY = (y: number) => height / 2 + (y - height / 2) * zoom.factor + zoom.y;
  const left = zoomX((width - (extents.xMax - extents.xMin) * fitted) / 2 - extents.xMin * fitted);
  const top = Math.max(PADDING, (height - tall * fitted - GAP) / 2);
  const centreLine = zoomY(top + extents.yMax * fitted);
  const datum = zoomY(top + (whole ? 2 : 1) * extents.yMax * fitted + GAP + extents.zMax * fitted);
  const u = (x: number) => left + x * scale;
  const plan = (y: number) => centreLine - y * scale;
  const side = (z: number) => datum - z * scale;
  const path = (outline: Outline, vertical: (v: number) => number, close = true) =>
    `${outline.map(([x, v], index) => `${index === 0 ? 'M' : 'L'}${u(x).toFixed(2)} ${vertical(v).toFixed(2)}`).join(' ')}${close ? ' Z' : ''}`;
  const both = (outline: Outline) => (whole ? [outline, outline.map(([x, y]) => [x, -y] as const)] : [outline]);

  const cg = analysis?.mass.cg;
  const neutral = analysis?.pitch.neutralPoint;
  const { forward, aft } = analysis?.window ?? { forward: null, aft: null };
  const focus = placed.find(({ id }) => id === dimensioned) ?? null;
  const tip = focus?.stations.at(-1);
  const focusUpright =
    focus !== null && tip !== undefined && Math.abs(tip.z - focus.stations[0]!.z) > 0.7 * tip.distance;
  const across = (station: { readonly y: number; readonly z: number }) =>
    focusUpright ? side(station.z * 1000) : plan(station.y * 1000);
  const reach =
    focus && tip ? 1000 * Math.abs(focusUpright ? tip.z - focus.stations[0]!.z : tip.y - focus.stations[0]!.y) : 0;
  const setFieldsOf = (edits: FieldEdit[]) => dispatch(setFields(edits));

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
          <g aria-hidden="true" fontSize={12} fill="var(--color-faint)">
            <text x={14} y={Math.max(18, plan(extents.yMax) - 14)}>
              {whole ? 'Plan' : 'Plan, right half'}
            </text>
            <text x={14} y={side(extents.zMax) - 8}>
              Side
            </text>
            <path
              d={`M${u(extents.xMin) - 18} ${centreLine} H${u(extents.xMax) + 18}`}
              stroke="var(--color-rule)"
              strokeDasharray="14 4 3 4"
            />
            <path
              d={`M${u(extents.xMin) - 18} ${side(0)} H${u(extents.xMax) + 18}`}
              stroke="var(--color-rule)"
              strokeDasharray="14 4 3 4"
            />
            <text x={u(extents.xMax) + 20} y={side(0) + 4}>
              datum
            </text>
          </g>
          <g
            aria-hidden="true"
            fill="var(--color-sheet)"
            stroke="var(--color-graphite)"
            strokeWidth={1.3}
            strokeLinejoin="round"
          >
            {design.bodies.map((body) => (
              <g key={body.id}>
                <clipPath id={`clip-${body.id}`}>
                  <rect x={0} y={0} width={width} height={whole ? height : centreLine} />
                </clipPath>
                {(body.mirrored ? both(bodyPlan(body)) : [bodyPlan(body)]).map((outline, index) => (
                  <path key={index} d={path(outline, plan)} clipPath={`url(#clip-${body.id})`} />
                ))}
                <path d={path(bodySide(body), side)} />
              </g>
            ))}
            {placed.map((surface) => {
              const outline = planOutline(surface);
              return (
                <g key={surface.id}>
                  {outline &&
                    both(outline).map((half, index) => <path key={index} d={path(half, plan)} fillOpacity={0.82} />)}
                  {outline &&
                    hingeLines(surface, 'plan')
                      .flatMap(both)
                      .map((line, index) => (
                        <path key={`h${index}`} d={path(line, plan, false)} fill="none" strokeWidth={1} />
                      ))}
                  {outline &&
                    surface.source.spars.map((spar) => {
                      const root = surface.stations[0]!;
                      const line: Outline = [
                        [root.x * 1000 + spar.start.x, root.y * 1000 + spar.start.distanceFromRoot],
                        [root.x * 1000 + spar.end.x, root.y * 1000 + spar.end.distanceFromRoot],
                      ];
                      return both(line).map((half, index) => (
                        <path
                          key={`${spar.id}${index}`}
                          d={path(half, plan, false)}
                          fill="none"
                          strokeWidth={2}
                          stroke="var(--color-rule)"
                        />
                      ));
                    })}
                  {sideOutline(surface, steeper).map((line, index) => (
                    <path
                      key={`s${index}`}
                      d={path(line, side, line.length > 2)}
                      fill={line.length > 2 ? undefined : 'none'}
                      strokeWidth={line.length > 2 ? 1.3 : index === 0 ? 3 : 1.5}
                      opacity={index === 0 ? 1 : 0.55}
                    />
                  ))}
                  {!outline &&
                    hingeLines(surface, 'side').map((line, index) => (
                      <path key={`v${index}`} d={path(line, side, false)} fill="none" strokeWidth={1} />
                    ))}
                </g>
              );
            })}
            {design.propulsion.map(({ id, position, propellerDiameter, downThrust }) => (
              <g key={id} transform={`rotate(${-downThrust} ${u(position.x)} ${side(position.z)})`}>
                <path
                  d={`M${u(position.x)} ${side(position.z + propellerDiameter / 2)} V${side(position.z - propellerDiameter / 2)}`}
                  strokeWidth={2.5}
                  strokeLinecap="round"
                  stroke="var(--color-faint)"
                />
              </g>
            ))}
            {design.massItems.map((item) => {
              const length = Math.max(8, (item.size?.length ?? 22) * scale);
              const tallness = Math.max(7, (item.size?.height ?? 14) * scale);
              const battery = item.category === 'battery';
              return (
                <rect
                  key={item.id}
                  x={u(item.position.x) - length / 2}
                  y={side(item.position.z) - tallness / 2}
                  width={length}
                  height={tallness}
                  rx={2}
                  strokeWidth={1}
                  fill={battery ? 'var(--color-balance-soft)' : 'var(--color-soft)'}
                  stroke={battery ? 'var(--color-balance)' : 'var(--color-faint)'}
                />
              );
            })}
          </g>
          {ghost && <GhostOutlines design={ghost} path={path} plan={plan} side={side} both={both} />}
          {forward !== null && aft !== null && aft > forward && (
            <WindowMark from={u(forward * 1000)} to={u(aft * 1000)} top={centreLine - 5} bottom={centreLine + 5} />
          )}
          {typeof neutral === 'number' && <NeutralMark x={u(neutral * 1000)} y={centreLine} />}
          {withAir && analysis && <Air analysis={analysis} placed={placed} u={u} side={side} centreLine={centreLine} />}
          {cg && <BalanceMark x={u(cg[0] * 1000)} y={centreLine} />}
          {cg && <BalanceMark x={u(cg[0] * 1000)} y={side(cg[2] * 1000)} />}
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
              x={u((station.x + station.chord / 2) * 1000)}
              y={across(station) + (focusUpright ? -14 : index === 0 ? 14 : -14)}
              value={station.chord * 1000}
              onCommit={(chord) =>
                setFieldsOf([
                  {
                    field: `/surfaces/${focus.id}/stations/${index === 0 ? 0 : focus.stations.length - 1}/chord`,
                    value: chord,
                  },
                ])
              }
            />
          ))}
        </>
      )}
    </div>
  );
}
