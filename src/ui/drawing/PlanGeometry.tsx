import { memo, useMemo } from 'react';
import { misfits } from '@/core/4-weight/boxFit';
import { useAppSelector } from '@/store/hooks';
import { formatLength } from '@/words/formatQuantity';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { bodyPlan, bodySide, hingeLines, planOutline, rodLines, sideOutline } from '@/core/3-shape/outline/views';
import type { PlanFrame } from './planFrame';
import { turnedAbout } from '../sheet/turnedAbout';
import { Outline } from '../sheet/Outline';

/** The datum line is named where there is room for it behind the tail [px]. */
const DATUM_ROOM = 56;

interface PlanGeometryProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  readonly frame: PlanFrame;
  /** Angles of surfaces from the side are drawn so many times as steep. */
  readonly steeper: number;
}

/** What is cut and bought, plan above, side below; drawn anew only when the document or the scale changes. */
export const PlanGeometry = memo(function PlanGeometry({ design, placed, frame, steeper }: PlanGeometryProps) {
  const { u, plan, side, extents, whole, sideOnly, centreLine, width, scale } = frame;
  const units = useAppSelector((state) => state.settings.units);
  const tooLarge = useMemo(() => new Map(misfits(design).map((misfit) => [misfit.item.id, misfit])), [design]);
  return (
    <>
      <g aria-hidden="true" fontSize={12} fill="var(--color-faint)">
        <text x={14} y={Math.max(18, plan(extents.yMax) - 14)}>
          {sideOnly ? '' : whole ? 'Plan' : 'Plan, right half'}
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
        {u(extents.xMax) + DATUM_ROOM < width && (
          <text x={u(extents.xMax) + 20} y={side(0) + 4}>
            datum
          </text>
        )}
      </g>
      <g
        aria-hidden="true"
        fill="var(--color-sheet)"
        stroke="var(--color-graphite)"
        strokeWidth={1.3}
        strokeLinejoin="round"
      >
        {design.bodies.map((body) => (
          <BodyShape key={body.id} body={body} frame={frame} />
        ))}
        {placed.map((surface) => (
          <SurfaceShape key={surface.id} surface={surface} frame={frame} steeper={steeper} />
        ))}
        {design.propulsion.map(({ id, position, propellerDiameter, downThrust }) => {
          const disc = turnedAbout(u(position.x), side(position.z), -downThrust);
          const radius = (propellerDiameter / 2) * scale;
          return (
            <Outline
              key={id}
              d={`M${disc(0, -radius).join(' ')} L${disc(0, radius).join(' ')}`}
              strokeWidth={2.5}
              strokeLinecap="round"
              stroke="var(--color-faint)"
            />
          );
        })}
        {design.wheels.map(({ id, position, diameter }) => (
          <g key={id} fill="none">
            <circle
              cx={u(position.x)}
              cy={side(position.z)}
              r={Math.max(2, (diameter / 2) * scale)}
              strokeWidth={1.6}
            />
            <circle cx={u(position.x)} cy={side(position.z)} r={1.5} fill="var(--color-graphite)" stroke="none" />
          </g>
        ))}
        {design.massItems.map((item) => {
          const length = Math.max(8, (item.size?.length ?? 22) * scale);
          const tallness = Math.max(7, (item.size?.height ?? 14) * scale);
          const battery = item.category === 'battery';
          const misfit = tooLarge.get(item.id);
          return (
            <rect
              key={item.id}
              data-part={`item ${item.id}`}
              x={u(item.position.x) - length / 2}
              y={side(item.position.z) - tallness / 2}
              width={length}
              height={tallness}
              rx={2}
              strokeWidth={1}
              fill={battery ? 'var(--color-balance-soft)' : 'var(--color-soft)'}
              stroke={misfit ? 'var(--color-stop)' : battery ? 'var(--color-balance)' : 'var(--color-faint)'}
              strokeDasharray={misfit ? '3 2' : undefined}
            >
              {misfit && (
                <title>{`${item.name || item.id}: ${formatLength(misfit.by, units)} too ${misfit.way} here`}</title>
              )}
            </rect>
          );
        })}
      </g>
    </>
  );
});

interface BodyShapeProps {
  readonly body: Body;
  readonly frame: PlanFrame;
}

/** It stays as it is while something in it is moved. */
const BodyShape = memo(function BodyShape({ body, frame }: BodyShapeProps) {
  const { plan, side, path, both, whole, sideOnly, centreLine, width } = frame;
  return (
    <g data-part={`body ${body.id}`}>
      {!whole && (
        <clipPath id={`clip-${body.id}`}>
          <rect x={0} y={0} width={width} height={Math.max(0, centreLine)} />
        </clipPath>
      )}
      {!sideOnly &&
        (body.mirrored ? both(bodyPlan(body)) : [bodyPlan(body)]).map((outline, index) => (
          <path key={index} d={path(outline, plan)} clipPath={whole ? undefined : `url(#clip-${body.id})`} />
        ))}
      <path d={path(bodySide(body), side)} />
    </g>
  );
});

interface SurfaceShapeProps {
  readonly surface: PlacedSurface;
  readonly frame: PlanFrame;
  readonly steeper: number;
}

const SurfaceShape = memo(function SurfaceShape({ surface, frame, steeper }: SurfaceShapeProps) {
  const { plan, side, path, both, sideOnly } = frame;
  const shape = planOutline(surface);
  const outline = sideOnly ? null : shape;
  return (
    <g data-part={`surface ${surface.id}`}>
      {outline && both(outline).map((half, index) => <Outline key={index} d={path(half, plan)} fillOpacity={0.82} />)}
      {outline &&
        hingeLines(surface, 'plan')
          .flatMap(both)
          .map((line, index) => <Outline key={`h${index}`} d={path(line, plan)} fill="none" strokeWidth={1} />)}
      {outline &&
        rodLines(surface).flatMap((rod) =>
          both(rod.path).map((half, index) => (
            <Outline
              key={`${rod.id}${index}`}
              d={path(half, plan)}
              fill="none"
              strokeWidth={2}
              stroke="var(--color-rule)"
            />
          )),
        )}
      {sideOutline(surface, steeper).map((line, index) => (
        <Outline
          key={`s${index}`}
          d={path(line, side)}
          strokeWidth={index === 0 ? 1.3 : 1}
          strokeOpacity={index === 0 ? 1 : 0.6}
        />
      ))}
      {!shape &&
        hingeLines(surface, 'side').map((line, index) => (
          <Outline key={`v${index}`} d={path(line, side)} fill="none" strokeWidth={1} />
        ))}
    </g>
  );
});
