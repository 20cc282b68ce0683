import { memo, useMemo, useState } from 'react';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { isLifting } from '@/core/2-document/schema/roles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
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
import { DrawnBeside } from '../shell/PacedProvider';
import { Ground } from '../sheet/Ground';
import { Paper } from '../sheet/Paper';
import { TallUnderTools } from '../sheet/Tall';
import { SpanStrips, SpanTable, StallMarks } from './AlongSpan';
import { SPAN_LEAST, type SpanFrame, spanFrame, spanReach } from './spanFrame';
import { shownSurface } from './spanCurves';
import { GhostPlan, SpanPlan } from './SpanPlan';

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
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const shown = shownSurface(placed, chosen);
  const reach = useHeld(useMemo(() => spanReach(placed), [placed]));
  const frame = useMemo(() => spanFrame({ width, height, head, reach }), [width, height, head, reach]);
  const ghost = useGhostDesign();
  const [pointedOut, setPointedOut] = useState<number | null>(null);
  if (!shown)
    return (
      <div ref={ref} className="p-6 text-faint">
        Nothing with a span is drawn yet: start in the brief.
      </div>
    );
  const { u, v, scale, plan } = frame;
  const tip = shown.stations.at(-1)!;
  // A wing that is cut shorter has nothing to read where the hand was.
  const at = pointedOut !== null && pointedOut <= millimetresFromMetres(tip.y) ? pointedOut : null;
  const read = (event: React.PointerEvent<SVGSVGElement>) => {
    if (event.buttons !== 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    const y = Math.abs(frame.yAt(event.clientX - box.left));
    setPointedOut(y);
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
      underTools
      onPointerMove={read}
      onPointerLeave={() => setPointedOut(null)}
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
            <SpanTable design={design} shown={shown} name={wing} />
          </>
        )
      }
    >
      <clipPath id="span-plan">
        <rect x={0} y={plan.top - 8} width={width} height={plan.height + 16} />
      </clipPath>
      <g clipPath="url(#span-plan)">
        <Ground />
        <SpanPlan design={design} placed={placed} frame={frame} />
        {ghost && <GhostPlan design={ghost} frame={frame} />}
      </g>
      <Ground />
      <DrawnBeside place="stall">
        <StallMarks frame={frame} chosen={chosen} />
      </DrawnBeside>
      <SpanMarks frame={frame} />
      <DrawnBeside place="strips">
        <SpanStrips frame={frame} chosen={chosen} at={at ?? 0} />
      </DrawnBeside>
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
      <DrawnBeside place="from ahead">
        {(beside) => <FromAhead design={beside} chosen={chosen} frame={frame} />}
      </DrawnBeside>
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

interface SpanMarksProps {
  readonly frame: SpanFrame;
}

/** What was computed of it: where it balances, its neutral point, where a finding is. They follow the analysis by themselves: the paper is not drawn anew for an answer. */
const SpanMarks = memo(function SpanMarks({ frame: { u, v, plan } }: SpanMarksProps) {
  const neutral = useAppSelector((state) => state.analysis.current?.pitch.neutralPoint);
  const balance = useAppSelector((state) => state.analysis.current?.mass.cg?.[0]);
  const pointed = usePointedAt();
  const isOnPlan = (x: number) => v(x) < plan.top + plan.height + 20 && v(x) > plan.top - 20;
  return (
    <>
      {neutral != null && <NeutralMark x={u(0)} y={v(millimetresFromMetres(neutral))} />}
      {balance != null && <BalanceMark x={u(0)} y={v(millimetresFromMetres(balance))} />}
      {pointed && isOnPlan(pointed.x) && <FindingMark x={u(pointed.y)} y={v(pointed.x)} />}
    </>
  );
});

interface FromAheadProps {
  readonly design: Design;
  readonly chosen: string | null;
  readonly frame: SpanFrame;
}

const FromAhead = memo(function FromAhead({ design, chosen, frame: { u, scale, width, front } }: FromAheadProps) {
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const lifting = useMemo(() => placed.filter(isLifting), [placed]);
  const shown = shownSurface(placed, chosen);
  return (
    <>
      <clipPath id="span-front">
        <rect x={0} y={front.top} width={width} height={front.height} />
      </clipPath>
      <g clipPath="url(#span-front)" data-testid="from-ahead">
        <Ground />
        <FrontGeometry design={design} placed={lifting} u={u} v={front.v} scale={scale} />
      </g>
      <Ground />
      {shown &&
        dihedralHandles(shown.source).map((handle) => (
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
});
