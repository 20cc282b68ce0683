import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { Drawing } from './Drawing';
import { itemHandles } from './handles';

/** Plan and side view with the equipment to be slid. */
export function ItemSheet({ design, withAir = false }: { readonly design: Design; readonly withAir?: boolean }) {
  const handles = useMemo(() => itemHandles(design, false), [design]);
  return <Drawing design={design} handles={handles} withAir={withAir} />;
}
