import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { type Handle, incidenceHandle } from '../drawing/handles';
import { PlanAndSide } from '../drawing/PlanAndSide';
import type { PlanFrame } from '../drawing/planFrame';
import { useGhostDesign } from '../drawing/useGhostDesign';
import { useSize } from '../drawing/useSize';
import { FITTED } from '../drawing/useZoom';
import { Tall } from '../sheet/Tall';
import { MomentChart, NAMED_BELOW } from './MomentChart';
import { Readings, READINGS_HIGH } from './Readings';

/** Angles are drawn so many times as steep, or nobody would see them. */
const STEEPER = 5;
/** What the side view and the moment under it need, with the names of curves beside them or below [px]. */
const LEAST = { beside: 420, below: 500 } as const;

/** The side view with its angles drawn larger, and under it what they come to. */
export function RiggingSheet({ design }: { readonly design: Design }) {
  const handles = useMemo(() => design.surfaces.flatMap(incidenceHandle), [design]);
  return (
    <Drawing
      design={design}
      handles={handles}
      withAir
      steeper={STEEPER}
      own={{ name: 'Angles', sheet: <Angles design={design} handles={handles} /> }}
    />
  );
}

function Angles({ design, handles }: { readonly design: Design; readonly handles: readonly Handle[] }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const ghost = useGhostDesign();
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const overlay = (frame: PlanFrame) =>
    analysis && <Readings analysis={analysis} placed={placed} frame={frame} steeper={STEEPER} />;
  const [ref, { width }] = useSize<HTMLDivElement>();
  const least = width < NAMED_BELOW ? LEAST.below : LEAST.beside;
  return (
    <div className="h-full pt-6 small:pt-9" ref={ref}>
      <Tall name="Angles and moment" least={least}>
        <div className="flex h-full min-h-0 flex-col">
          <div className="flex-[11]" style={{ minHeight: 0.55 * least }}>
            <PlanAndSide
              design={design}
              handles={handles}
              withAir
              steeper={STEEPER}
              whole={false}
              sideOnly
              zoom={FITTED}
              ghost={ghost}
              dimensioned={null}
              overlay={overlay}
              headroom={READINGS_HIGH}
            />
          </div>
          <div className="flex-[9] border-t border-soft" style={{ minHeight: 0.45 * least }}>
            <MomentChart />
          </div>
        </div>
      </Tall>
    </div>
  );
}
