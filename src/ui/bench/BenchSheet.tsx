import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { useLaidParts } from '../plans/useLaidParts';
import { BuildOrder } from './BuildOrder';

const NO_HANDLES: readonly never[] = [];

/** The build, step by step, with what is read before glue. */
export function BenchSheet({ design }: { readonly design: Design }) {
  useLaidParts(design);
  return (
    <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Build order', sheet: <Order design={design} /> }} />
  );
}

function Order({ design }: { readonly design: Design }) {
  const { laid, failure } = useAppSelector((state) => state.plans);
  if (laid)
    return (
      <div className="h-full pt-11">
        <BuildOrder design={design} list={laid.list} />
      </div>
    );
  return (
    <p className="p-6 pt-12 text-faint">
      {failure ? `The parts could not be worked out: ${failure}` : 'Working out the parts…'}
    </p>
  );
}
