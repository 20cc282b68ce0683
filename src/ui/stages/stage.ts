import type { ComponentType } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { Stage } from '@/core/7-verdict/finding';

interface StageProps {
  readonly design: Design;
}

/** One step of the work: its address, its name, whether it has begun, its sheet in the middle and its inputs beside it. */
export interface StageEntry {
  /** Last part of its address. */
  readonly path: Stage;
  readonly title: string;
  /** Whether there is anything yet to judge. */
  readonly isStarted: (design: Design) => boolean;
  /** What to do here, in a sentence. */
  readonly task: string;
  /** Fields that are always there, by group and label: how they are found by their words. */
  readonly fields: readonly (readonly [group: string, label: string])[];
  /** Where the work is done: a phone gives the sheet more of its height, or the inputs. */
  readonly worksOn?: 'sheet' | 'inputs';
  readonly Sheet: ComponentType<StageProps>;
  readonly Inputs: ComponentType<StageProps>;
}
