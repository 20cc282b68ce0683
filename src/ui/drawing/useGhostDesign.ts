import { useMemo } from 'react';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { useAppSelector } from '@/store/hooks';

/** Another state to be drawn dashed under the present one: what a remedy that is looked at would make of it, or a kept state. */
export function useGhostDesign(): Design | null {
  const present = useAppSelector((state) => state.document.present);
  const compared = useAppSelector((state) => state.session.compared?.design ?? null);
  const change = useAppSelector((state) => state.analysis.previewAsked?.change ?? null);
  const changed = useMemo(
    () => (present && change ? keptOnTips(present, withFields(present, change)) : null),
    [present, change],
  );
  return changed ?? compared;
}
