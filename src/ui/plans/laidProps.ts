import type { Design } from '@/core/2-document/schema/design';
import type { PlansState } from '@/store/plansSlice';

/** What everything about laid parts is given. */
export interface LaidProps {
  readonly design: Design;
  readonly laid: NonNullable<PlansState['laid']>;
}
