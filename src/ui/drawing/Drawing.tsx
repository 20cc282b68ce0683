import { useMemo, useState } from 'react';
import { formatLength } from '@/core/units/formatQuantity';
import type { Design } from '@/core/document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { BalanceMark, MarkDefinitions, NeutralMark, WindowMark } from '../marks/marks';
import { Air } from './Air';
import { Dimension } from './Dimension';
import { HandleMark } from './HandleMark';
import type { Handle } from './handles';
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

const PADDING = 46;
/** Between the two views [px]. */
const GAP = 44;

interface DrawingProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  /** Draw the air too: wash at each surface, neutral point without tail. */
  readonly withAir?: boolean;
}

/** Plan above, side below, on one lengthwise scale: nose to the left. */
export function Drawing({ design, handles, withAir = false }: DrawingProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [whole, setWhole] = useState(false);
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const dragging = useAppSelector((state) => state.session.dragging);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const wanted = useMemo(() => extentsOf(design, placed), [design, placed]);
  // The scale rests while something is dragged, so that the handle stays under the hand.
  const [held, setHeld] = useState(wanted);
  if (!dragging && held !== wanted) setHeld(wanted);
  const extents = dragging ? held : wanted;

  const sides = whole ? 2 : 1;
  const tall = sides * extents.yMax + (extents.zMax - extents.zMin);
  const scale = Math.max(
    0.02,
    Math.min((width - 2 * PADDING) / (extents.xMax - extents.xMin), (height - 2 * PADDING - GAP) / tall),
  );
  const left = (width - (extents.xMax - extents.xMin) * scale) / 2 - extents.xMin * scale;
  const top = Math.max(PADDING, (height - tall * scale - GAP) / 2);
  const centreLine = top + extents.yMax * scale;
  const datum = centreLine + (whole ? extents.yMax * scale : 0) + GAP + extents.zMax * scale;
  const u = (x: number) => left + x * scale;
  const plan = (y: number) => centreLine - y * scale;
  const side = (z: number) => datum - z * scale;
  const path = (outline: Outline, vertical: (v: number) => number, close = true) =>
    `${outline.map(([x, v], index) => `${index === 0 ? 'M' : 'L'}${u(x).toFixed(2)} ${vertical(v).toFixed(2)}`).join(' ')}${close ? ' Z' : ''}`;
  const both = (outline: Outline) => (whole ? [outline, outline.map(([x, y]) => [x, -y] as const)] : [outline]);

  const cg = analysis?.mass.cg;
  const neutral = analysis?.pitch.neutralPoint;
  const { forward, aft } = analysis?.window ?? { forward: null, aft: null };
  const widest = [...placed]
    .filter(({ mirrored }) => mirrored)
    .sort((a, b) => b.stations.at(-1)!.y - a.stations.at(-1)!.y)[0];

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
          <MarkDefinitions />
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
                  {sideOutline(surface, 1).map((line, index) => (
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
          {forward !== null && aft !== null && aft > forward && (
            <WindowMark from={u(forward * 1000)} to={u(aft * 1000)} top={centreLine - 5} bottom={centreLine + 5} />
          )}
          {typeof neutral === 'number' && <NeutralMark x={u(neutral * 1000)} y={centreLine} />}
          {withAir && analysis && <Air analysis={analysis} placed={placed} u={u} side={side} centreLine={centreLine} />}
          {cg && <BalanceMark x={u(cg[0] * 1000)} y={centreLine} />}
          {cg && <BalanceMark x={u(cg[0] * 1000)} y={side(cg[2] * 1000)} />}
          {widest && (
            <Dimension
              from={[u(extents.xMax) + 26, centreLine]}
              to={[u(extents.xMax) + 26, plan(widest.stations.at(-1)!.y * 1000)]}
              text={`half span ${formatLength(widest.stations.at(-1)!.y * 1000, units)}`}
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
      <div className="absolute top-2 right-2">
        <Button look="quiet" aria-pressed={whole} onClick={() => setWhole(!whole)}>
          {whole ? 'Show right half' : 'Show both halves'}
        </Button>
      </div>
    </div>
  );
}
