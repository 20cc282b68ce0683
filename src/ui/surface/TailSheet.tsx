import type { Design } from '@/core/2-document/schema/design';
import type { Handle } from '../drawing/handles';
import { PlanAndSide } from '../drawing/PlanAndSide';
import { useGhostDesign } from '../drawing/useGhostDesign';
import { FITTED } from '../drawing/useZoom';
import { DrawnBeside } from '../shell/PacedProvider';
import { TailMap } from './TailMap';

interface TailSheetProps {
  readonly design: Design;
  readonly handles: readonly Handle[];
  readonly chosen: string | null;
}

/** The map of the chosen tail, and the aircraft beside it. */
export function TailSheet({ design, chosen }: TailSheetProps) {
  const surface = design.surfaces.find(({ id }) => id === chosen);
  if (!surface)
    return (
      <p className="p-6 text-faint">
        This design has no tail. Tailless aircraft keep their nose by sweep and washout, or by reflex.
      </p>
    );
  return (
    <div className="flex h-full min-h-0">
      <div className="min-w-0 flex-1">
        <TailMap key={surface.id} design={design} surface={surface} />
      </div>
      <div className="w-[34%] max-w-[320px] border-l border-soft pt-9 small:hidden">
        <DrawnBeside place="tail plan">{(beside) => <AircraftBeside design={beside} />}</DrawnBeside>
      </div>
    </div>
  );
}

/** The aircraft as it then is. */
function AircraftBeside({ design }: { readonly design: Design }) {
  const ghost = useGhostDesign();
  return <PlanAndSide design={design} handles={[]} whole zoom={FITTED} ghost={ghost} dimensioned={null} />;
}
