import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { memo } from 'react';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { useAppSelector } from '@/store/hooks';
import { BalanceMark, NeutralMark, WindowMark } from '../marks/marks';
import { Air } from './Air';
import { FindingMark, usePointedAt } from './FindingMark';
import type { PlanFrame } from './planFrame';

interface PlanMarksProps {
  readonly frame: PlanFrame;
  readonly placed: readonly PlacedSurface[];
  /** Draw the air too: wash at each surface, neutral point without tail. */
  readonly withAir: boolean;
}

/** What was computed: window, neutral point, where it balances; follows the analysis by itself. */
export const PlanMarks = memo(function PlanMarks({ frame, placed, withAir }: PlanMarksProps) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const pointed = usePointedAt();
  if (!analysis) return null;
  const { u, plan, side, centreLine, sideOnly } = frame;
  const { cg } = analysis.mass;
  const neutral = analysis.pitch.neutralPoint;
  const { forward, aft } = analysis.window;
  return (
    <>
      {forward !== null && aft !== null && aft > forward && (
        <WindowMark
          from={u(millimetresFromMetres(forward))}
          to={u(millimetresFromMetres(aft))}
          top={centreLine - 5}
          bottom={centreLine + 5}
        />
      )}
      {neutral !== null && <NeutralMark x={u(millimetresFromMetres(neutral))} y={centreLine} />}
      {withAir && (
        <Air analysis={analysis} placed={placed} u={u} side={side} centreLine={sideOnly ? null : centreLine} />
      )}
      {cg && <BalanceMark x={u(millimetresFromMetres(cg[0]))} y={centreLine} />}
      {cg && <BalanceMark x={u(millimetresFromMetres(cg[0]))} y={side(millimetresFromMetres(cg[2]))} />}
      {pointed && !sideOnly && <FindingMark x={u(pointed.x)} y={plan(pointed.y)} />}
      {pointed && <FindingMark x={u(pointed.x)} y={side(pointed.z)} />}
    </>
  );
});
