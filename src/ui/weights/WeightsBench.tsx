import type { Design } from '@/core/2-document/schema/design';
import { Drawing } from '../drawing/Drawing';
import type { Handle } from '../drawing/handles';
import { DrawnBeside, PacedProvider } from '../shell/PacedProvider';
import { useScreen } from '../shell/useScreen';
import { PullsLever } from './PullsLever';
import { WeightsTable } from './WeightsTable';

/** Everything that weighs something: from the side to be dragged, on the lever it pulls at, as a table below; on a phone the table lies among the inputs. */
export function WeightsBench({ design, handles }: { readonly design: Design; readonly handles: readonly Handle[] }) {
  const isSmall = useScreen() !== 'whole';
  if (isSmall) return <Drawing design={design} handles={handles} sideOnly />;
  return (
    <div className="flex h-full flex-col">
      <div className="h-[38%] min-h-40 shrink-0 print:h-[60mm]">
        <Drawing design={design} handles={handles} sideOnly />
      </div>
      <DrawnBeside place="lever">{(beside) => <PullsLever design={beside} />}</DrawnBeside>
      <div className="min-h-0 flex-1 border-t border-rule contain-strict will-change-transform">
        <PacedProvider>
          <WeightsTable />
        </PacedProvider>
      </div>
    </div>
  );
}
