import type { Design } from '@/core/2-document/schema/design';
import type { Diagnosis } from '@/core/8-field/diagnose';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { useRecordCount, useRecords } from '../records/useRecords';
import { ToldAndSeen } from './ToldAndSeen';

const NO_HANDLES: readonly never[] = [];

/** What was told beforehand beside what flights showed. */
export function FieldSheet({ design }: { readonly design: Design }) {
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Flights', sheet: <Seen design={design} /> }} />;
}

function Seen({ design }: { readonly design: Design }) {
  const { explained } = useAppSelector((state) => state.field);
  const count = useRecordCount('flights');
  const diagnosis = explained?.of === design ? explained.result.diagnosis : null;
  if (count === 0)
    return (
      <p className="max-w-md p-6 pt-12">
        No flight is logged yet. Tick the list, read what it should do, fly, and press what it did: what was told
        beforehand and what was seen then stand here side by side.
      </p>
    );
  if (!diagnosis) return <p className="p-6 pt-12 text-faint">Weighing flights…</p>;
  if (!diagnosis.ok) return <p className="max-w-md p-6 pt-12">{diagnosis.because}</p>;
  return <Compared diagnosis={diagnosis} />;
}

/** Reads the flights only once there is something to compare them with: there may be thousands. */
function Compared({ diagnosis }: { readonly diagnosis: Extract<Diagnosis, { ok: true }> }) {
  return <ToldAndSeen compared={diagnosis.compared} flights={useRecords('flights')} />;
}
