import type { Design } from '@/core/2-document/schema/design';
import { BenchCardButton } from './BenchCardButton';
import { Checks } from './Checks';
import { Instruments } from './Instruments';
import { OnTwoScales } from './OnTwoScales';
import { Rehearsal } from './Rehearsal';
import { Throws } from './Throws';
import { Weighed } from './Weighed';

/** What it is measured with, and a build to practise on. */
export function BenchStage({ design }: { readonly design: Design }) {
  return (
    <>
      <Instruments />
      <Rehearsal design={design} />
      <Weighed design={design} />
      <OnTwoScales design={design} />
      <Throws design={design} />
      <Checks design={design} />
      <BenchCardButton design={design} />
    </>
  );
}
