import { useMemo, useState } from 'react';
import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { isLifting } from '@/core/2-document/schema/roles';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { Path } from '@/core/3-shape/outline/path';
import { mirrored } from '@/core/3-shape/outline/path';
import { bodyPlan, hingeLines, planOutline, rodLines } from '@/core/3-shape/outline/views';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatLength } from '@/words/formatQuantity';
import { Dimension } from '../drawing/Dimension';
import { DimensionEntry } from '../drawing/DimensionEntry';
import { FindingMark, usePointedAt } from '../drawing/FindingMark';
import { FrontGeometry } from '../drawing/FrontGeometry';
import { HandleMark } from '../drawing/HandleMark';
import { dihedralHandles, type Handle, noseUp, spanEdits } from '../drawing/handles';
import { useGhostDesign } from '../drawing/useGhostDesign';
import { useHeld } from '../drawing/useHeld';
import { useSize } from '../drawing/useSize';
import { BalanceMark, NeutralMark } from '../marks/marks';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { valueAt } from '../sheet/scale';
import { SpanStrip } from '../sheet/SpanStrip';
import { TallUnderTools } from '../sheet/Tall';
import { SPAN_LEAST, type SpanFrame, spanFrame, spanReach } from './spanFrame';
import { shownSurface, type SpanCurves, spanCurves, stallingStretches, stretchOutline } from './spanCurves';

interface SpanSheetProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  readonly chosen: string | null;
}

/** The wing from above with its nose up, and what goes on along the span under it, on the same axis. */
export function SpanSheet(props: SpanSheetProps) {
  return (
    <TallUnderTools name="Along the span" least={SPAN_LEAST}>
      {(head) => <SpanPaper {...props} head={head} />}
    </TallUnderTools>
  );
}

function SpanPaper({ design, handles, chosen, head }: SpanSheetProps & { readonly head: number }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const dispatch = useAppDispatch();
  const analysis = useAppSelector((state) => state.analysis.current);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const shown = shownSurface(placed, chosen);
  const reach = useHeld(useMemo(() => spanReach(placed), [placed]));
  const frame = useMemo(() => spanFrame({ width, height, head, reach }), [width, height, head, reach]);
  const ghost = useGhostDesign();
  const pointed = usePointedAt();
  const [at, setAt] = useState<number | null>(null);
  const curves = useMemo(() => shown && spanCurves(design, shown, analysis), [design, shown, analysis]);
  const front = useMemo(() => (shown ? dihedralHandles(shown.source) : []), [shown]);
  if (!shown || !curves)
    return (
      <div ref={ref} className="p-6 text-faint">
        Nothing with a span is drawn yet: start in the brief.
      </div>
    );
  const { u, v, scale, plan } = frame;
  const tip = shown.stations.at(-1)!;
  const place = at ?? 0;
  const read = (event: React.PointerEvent<SVGSVGElement>) => {
    if (event.buttons !== 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    const y = Math.abs(frame.yAt(event.clientX - box.left));
    setAt(y <= millimetresFromMetres(tip.y) ? y : null);
  };
  const edit = (change: FieldChange[]) => dispatch(setFields(change));
  const length = shown.source.stations.at(-1)!.distanceFromRoot;
  const wing = shown.source.name || shown.id;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`${wing} of ${design.name} along its span, nose up`}
      caption={`${wing} along the span, nose up`}
      onPointerMove={read}
      onPointerLeave={() => setAt(null)}
      over={
        width > 0 && (
          <>
            <DimensionEntry
              label="half span"
              width={width}
              x={u(millimetresFromMetres(tip.y) / 2)}
              y={plan.top + plan.height + 16}
              value={length}
              onCommit={(wanted) => edit(spanEdits(shown.source, wanted / length))}
            />
            {([0, -1] as const).map((index) => {
              const station = shown.stations.at(index)!;
              return (
                <DimensionEntry
                  key={index}
                  label={index === 0 ? 'root' : 'tip'}
                  width={width}
                  x={u(millimetresFromMetres(station.y)) + (index === 0 ? -16 : 16)}
                  y={v(millimetresFromMetres(station.x + station.chord / 2))}
                  upright
                  value={millimetresFromMetres(station.chord)}
                  onCommit={(chord) => {
                    const at = index === 0 ? 0 : shown.stations.length - 1;
                    return edit([field('surfaces', shown.id, 'stations', at, 'chord').to(chord)]);
                  }}
                />
              );
            })}
            <SpanTable curves={curves} name={wing} />
          </>
        )
      }
    >
      <clipPath id="span-plan">
        <rect x={0} y={plan.top - 8} width={width} height={plan.height + 16} />
      </clipPath>
      <g clipPath="url(#span-plan)">
        <SpanPlan design={design} placed={placed} frame={frame} />
        {ghost && <GhostPlan design={ghost} frame={frame} />}
      </g>
      {analysis && <StallMarks frame={frame} surface={shown} />}
      {analysis?.pitch.neutralPoint != null && (
        <NeutralMark x={u(0)} y={v(millimetresFromMetres(analysis.pitch.neutralPoint))} />
      )}
      {analysis?.mass.cg && <BalanceMark x={u(0)} y={v(millimetresFromMetres(analysis.mass.cg[0]))} />}
      {pointed && v(pointed.x) < plan.top + plan.height + 20 && v(pointed.x) > plan.top - 20 && (
        <FindingMark x={u(pointed.y)} y={v(pointed.x)} />
      )}
      <SpanStrips frame={frame} curves={curves} at={place} />
      {at !== null && (
        <path
          d={`M${u(at)} ${plan.top} V${frame.strips.reynolds.top + frame.strips.reynolds.height}`}
          stroke="var(--color-faint)"
          strokeDasharray="2 3"
          aria-hidden="true"
        />
      )}
      <Dimension
        from={[u(0), plan.top + plan.height + 16]}
        to={[u(millimetresFromMetres(tip.y)), plan.top + plan.height + 16]}
      />
      <FromAhead design={design} placed={placed} frame={frame} handles={front} />
      {handles
        .filter(({ view }) => view === 'plan')
        .map((handle) => (
          <HandleMark
            key={handle.id}
            handle={noseUp(handle)}
            x={u(handle.at[1])}
            y={v(handle.at[0])}
            perPixel={1 / scale}
          />
        ))}
    </Paper>
  );
}

interface SpanPlanProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  readonly frame: SpanFrame;
}

function SpanPlan({ design, placed, frame: { u, path: d, plan } }: SpanPlanProps) {
  const both = (path: Path) => [d(path), d(mirrored(path))];
  return (
    <g aria-hidden="true" fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.3}>
      <path
        d={`M${u(0)} ${plan.top - 6} V${plan.top + plan.height + 6}`}
        stroke="var(--color-rule)"
        strokeDasharray="14 4 3 4"
      />
      {design.bodies.map((body) =>
        (body.mirrored ? both(bodyPlan(body)) : [d(bodyPlan(body))]).map((outline, index) => (
          <path key={`${body.id}${index}`} d={outline} />
        )),
      )}
      {placed.map((surface) => {
        const outline = planOutline(surface);
        if (!outline) return null;
        return (
          <g key={surface.id} data-part={`surface ${surface.id}`}>
            {both(outline).map((half, index) => (
              <path key={index} d={half} fillOpacity={0.82} />
            ))}
            {hingeLines(surface, 'plan')
              .flatMap(both)
              .map((line, index) => (
                <path key={`h${index}`} d={line} fill="none" strokeWidth={1} />
              ))}
            {rodLines(surface)
              .flatMap(({ path }) => both(path))
              .map((line, index) => (
                <path key={`r${index}`} d={line} fill="none" stroke="var(--color-rule)" strokeWidth={2} />
              ))}
          </g>
        );
      })}
    </g>
  );
}

/** Another state, dashed. */
function GhostPlan({ design, frame: { path: d } }: { readonly design: Design; readonly frame: SpanFrame }) {
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  return (
    <g
      aria-hidden="true"
      data-testid="ghost"
      fill="none"
      stroke="var(--color-balance)"
      strokeWidth={1.3}
      strokeDasharray="6 4"
    >
      {placed.flatMap((surface) => {
        const outline = planOutline(surface);
        return outline
          ? [outline, mirrored(outline)].map((half, index) => <path key={`${surface.id}${index}`} d={d(half)} />)
          : [];
      })}
    </g>
  );
}

/** Where little lift is left when the stall starts, and where it starts. */
function StallMarks({ frame: { u, v }, surface }: { readonly frame: SpanFrame; readonly surface: PlacedSurface }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const stretches = useMemo(() => (analysis ? stallingStretches(analysis, surface) : []), [analysis, surface]);
  const first = stretches.find(({ isFirst }) => isFirst);
  return (
    <g aria-hidden="true" data-testid="stall-marks">
      {stretches.flatMap((stretch) =>
        [1, -1].map((side) => (
          <path
            key={`${stretch.from}${stretch.isFirst}${side}`}
            d={`M${stretchOutline(surface, stretch)
              .map(([x, y]) => `${u(side * y)} ${v(x)}`)
              .join('L')}Z`}
            fill="var(--color-caution)"
            fillOpacity={stretch.isFirst ? 0.3 : 0.2}
          />
        )),
      )}
      {first &&
        [1, -1].map((side) => {
          const outline = stretchOutline(surface, first);
          const [, , [x0, y0], [x1, y1]] = outline as readonly [unknown, unknown, [number, number], [number, number]];
          const [x, y] = [u((side * (y0 + y1)) / 2), v((x0 + x1) / 2)];
          return (
            <g key={side}>
              <path d={`M${x} ${y + 3} l-6 10 h12 Z`} fill="var(--color-caution)" />
              {side === 1 && (
                <text x={x + 9} y={y + 14} fontSize={12} fill="var(--color-caution)">
                  stalls first
                </text>
              )}
            </g>
          );
        })}
    </g>
  );
}

interface SpanStripsProps {
  readonly frame: SpanFrame;
  readonly curves: SpanCurves;
  readonly at: number;
}

const twoPlaces = (value: number) => decimal(value, 2);
const inDegrees = (value: number) => `${decimal(degreesFromRadians(value), 1)}°`;
const THOUSAND = 1e3;
const inThousands = (value: number) => `${decimal(value / THOUSAND, 0)} 000`;

function SpanStrips({ frame: { u, left, right, strips }, curves, at }: SpanStripsProps) {
  const units = useAppSelector((state) => state.settings.units);
  const { lift, chord, angle, reynolds } = curves;
  const common = { u, left, right, at };
  return (
    <g data-testid="span-strips">
      <SpanStrip
        {...common}
        {...strips.lift}
        name="local lift c_l"
        format={twoPlaces}
        fromNought
        curves={[
          { name: 'can carry', places: lift.limit, look: 'dotted' },
          { name: 'at the stall', places: lift.atStall, look: 'strong' },
          { name: 'at cruise', places: lift.atCruise, look: 'plain' },
        ]}
      />
      <SpanStrip
        {...common}
        {...strips.chord}
        name="chord"
        format={(value) => formatLength(millimetresFromMetres(value), units, 0)}
        fromNought
        curves={[{ name: '', places: chord, look: 'plain' }]}
      />
      <SpanStrip
        {...common}
        {...strips.angle}
        name="angle, twist"
        format={inDegrees}
        curves={[{ name: '', places: angle, look: 'plain' }]}
      />
      <SpanStrip
        {...common}
        {...strips.reynolds}
        name="Reynolds"
        format={inThousands}
        fromNought
        curves={[{ name: '', places: reynolds, look: 'plain' }]}
      />
    </g>
  );
}

interface FromAheadProps extends SpanPlanProps {
  readonly handles: readonly Handle[];
}

function FromAhead({ design, placed, frame: { u, scale, width, front }, handles }: FromAheadProps) {
  const lifting = placed.filter(isLifting);
  return (
    <>
      <clipPath id="span-front">
        <rect x={0} y={front.top} width={width} height={front.height} />
      </clipPath>
      <g clipPath="url(#span-front)" data-testid="from-ahead">
        <FrontGeometry design={design} placed={lifting} u={u} v={front.v} scale={scale} />
      </g>
      {handles.map((handle) => (
        <HandleMark
          key={handle.id}
          handle={handle}
          x={u(handle.at[0])}
          y={front.v(handle.at[1])}
          perPixel={1 / scale}
        />
      ))}
    </>
  );
}

/** The strips as numbers, for those who hear them: at each tenth of the half span. */
function SpanTable({
  curves: { lift, chord, angle, reynolds },
  name,
}: {
  readonly curves: SpanCurves;
  readonly name: string;
}) {
  const units = useAppSelector((state) => state.settings.units);
  const tip = chord.at(-1)![0];
  const shown = (value: number | null, format: (value: number) => string) => (value === null ? '–' : format(value));
  return (
    <HiddenTable
      caption={`${name} along the half span`}
      columns={['From the middle', 'Can carry', 'At the stall', 'At cruise', 'Chord', 'Angle', 'Reynolds number']}
      rows={() =>
        [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => {
          const y = share * tip;
          return [
            formatLength(y, units, 0),
            shown(valueAt(lift.limit, y), twoPlaces),
            shown(valueAt(lift.atStall, y), twoPlaces),
            shown(valueAt(lift.atCruise, y), twoPlaces),
            shown(valueAt(chord, y), (value) => formatLength(millimetresFromMetres(value), units, 0)),
            shown(valueAt(angle, y), inDegrees),
            shown(valueAt(reynolds, y), inThousands),
          ];
        })
      }
    />
  );
}
