import type { Design } from '@/core/2-document/schema/design';
import { ThrowFields } from './ThrowFields';
import { SmallGlider } from './SmallGlider';
import { TossLog } from './TossLog';
import { WhatTossesTell } from './WhatTossesTell';

/** How it is thrown here, what a small one is, what was tossed by hand and what that tells. */
export function GliderStage({ design }: { readonly design: Design }) {
  return (
    <>
      <ThrowFields design={design} />
      <TossLog />
      <WhatTossesTell design={design} />
      <SmallGlider design={design} />
    </>
  );
}
