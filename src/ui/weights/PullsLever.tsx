import { memo, useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { useHeld } from '../drawing/useHeld';
import { useSize } from '../drawing/useSize';
import { Lever, LeverTable } from '../lever/Lever';
import { linear } from '../sheet/scale';
import { Picture } from '../sheet/Picture';

const SIDE = 46;
/** Under the lever, for its fulcrum [px]. */
const FOOT = 24;

/** Every part as a weight on the lever, over the point about which they pull. */
export const PullsLever = memo(function PullsLever({ design }: { readonly design: Design }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { xMin, xMax } = useHeld(useMemo(() => extentsOf(design, placed), [design, placed]));
  const place = useMemo(() => linear([xMin, xMax], [SIDE, Math.max(SIDE + 60, width - SIDE)]), [xMin, xMax, width]);
  return (
    <div className="h-[24%] min-h-0 shrink-0 print:h-[40mm] small:hidden" ref={ref}>
      {width > 0 && height > 90 && (
        <Picture width={width} height={height} name="Weights on a lever about the balance point">
          <Lever design={design} u={place} left={SIDE} right={width - SIDE} top={4} beam={height - FOOT} />
        </Picture>
      )}
      <LeverTable design={design} />
    </div>
  );
});
