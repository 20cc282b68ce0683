import type { Design } from '@/core/2-document/schema/design';
import { CutBackTrials } from './CutBackTrials';
import { Expected } from './Expected';
import { Flights } from './Flights';
import { FlightsRead } from './flightsHere';
import { Learned } from './Learned';
import { LogFlight } from './LogFlight';
import { Preflight } from './Preflight';
import { useAwake } from '../shell/useAwake';
import { Sunlight } from './Sunlight';
import { WhatExplains } from './WhatExplains';

/** What is ticked before a flight, what it should do, what it did, and what explains that. */
export function FieldStage({ design }: { readonly design: Design }) {
  useAwake(true);
  return (
    <FlightsRead>
      <Sunlight />
      <Preflight design={design} />
      <Expected />
      <LogFlight />
      <WhatExplains design={design} />
      <Learned design={design} />
      <CutBackTrials design={design} />
      <Flights />
    </FlightsRead>
  );
}
