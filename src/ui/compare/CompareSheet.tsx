import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { BuiltOften } from './BuiltOften';
import { SweptCurve } from './SweptCurve';

const NO_HANDLES: readonly never[] = [];

/** How a design is spread as it may be built, and what one number does. */
export function CompareSheet({ design }: { readonly design: Design }) {
  return (
    <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Compare', sheet: <Compared design={design} /> }} />
  );
}

function Compared({ design }: { readonly design: Design }) {
  const { tolerated, swept } = useAppSelector((state) => state.compare);
  if (!tolerated && !swept)
    return (
      <p className="max-w-md p-6 pt-12">
        Build it a thousand times, each a little off as hands and boards are: how often it then balances, flies hands
        off and leaves the hand stands here, and which error costs most. Or take one number from one end to the other
        and see what it does.
      </p>
    );
  return (
    <div className="h-full space-y-6 overflow-auto p-4 pt-12" tabIndex={0} role="region" aria-label="Compared">
      {tolerated && <BuiltOften told={tolerated.result} design={tolerated.of} isOlder={tolerated.of !== design} />}
      {swept && <SweptCurve {...swept} isOlder={swept.of !== design} />}
    </div>
  );
}
