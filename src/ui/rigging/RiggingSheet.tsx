import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { type Handle, incidenceHandle } from '../drawing/handles';
import { PlanAndSide } from '../drawing/PlanAndSide';
import type { PlanFrame } from '../drawing/planFrame';
import { useGhostDesign } from '../drawing/useGhostDesign';
import { FITTED } from '../drawing/useZoom';
import { MomentChart } from './MomentChart';
import { Readings, READINGS_HIGH } from './Readings';

/** Angles are drawn so many times as steep, or nobody would see them. */
const STEEPER = 5;

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
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-[11] pt-6 phone:pt-9">
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
      <div className="min-h-0 flex-[9] border-t border-soft small:hidden">
        <MomentChart />
      </div>
    </div>
  );
}
