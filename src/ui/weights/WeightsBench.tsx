import type { Design } from '@/core/2-document/schema/design';
import { Drawing } from '../drawing/Drawing';
import type { Handle } from '../drawing/handles';
import { PacedProvider } from '../shell/PacedProvider';
import { WeightsTable } from './WeightsTable';

/** Everything that weighs something: from the side above, to be dragged; as a table below. */
export function WeightsBench({ design, handles }: { readonly design: Design; readonly handles: readonly Handle[] }) {
  return (
    <div className="flex h-full flex-col">
      <div className="h-[42%] min-h-44 shrink-0 border-b border-rule">
        <Drawing design={design} handles={handles} sideOnly />
      </div>
      <div className="min-h-0 flex-1">
        <PacedProvider>
          <WeightsTable />
        </PacedProvider>
      </div>
    </div>
  );
}
