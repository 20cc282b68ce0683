import { Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { Flight, FlightRun } from '@/core/8-field/sights';
import { changeFlight, type FlightPart } from '@/store/field';
import { openGatesAgain } from '@/store/bench';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { gatesOf } from '@/core/8-bench/gates';
import { CheckField } from '../fields/CheckField';
import { ChoiceChips } from '../fields/ChoiceChips';
import { SelectField } from '../fields/SelectField';
import { RecordNote } from '../records/RecordNote';
import { type RecordNumber, RecordNumbers } from '../records/RecordNumbers';
import { RecordPhotos } from '../records/RecordPhotos';
import { Button, IconButton } from '../shell/buttons';
import { told } from '../shell/told';
import { RUN_WORDS } from './fieldWords';
import { Recording } from './Recording';

const NUMBERS: readonly RecordNumber<'duration' | 'wind' | 'mass' | 'balance' | 'turns'>[] = [
  { key: 'duration', label: 'In the air (s)', kind: 'number', least: 0, most: 86_400, step: 10 },
  { key: 'wind', label: 'Wind', kind: 'speed', least: 0, most: 30 },
  { key: 'mass', label: 'Weighed, ready to fly', kind: 'mass', least: 0, most: 50_000 },
  { key: 'balance', label: 'Balanced at', kind: 'length', least: -10_000, most: 10_000 },
  { key: 'turns', label: 'Turns on the rubber', kind: 'number', least: 0, most: 100_000, step: 10 },
];

type RunKey = 'speed' | 'pitch' | 'roll' | 'glideRatio';
const SPEED: RecordNumber<RunKey> = { key: 'speed', label: 'At', kind: 'speed', least: 1, most: 100, step: 0.5 };
const TRIMS: readonly RecordNumber<RunKey>[] = [
  { key: 'pitch', label: 'Pitch trim, edge down', kind: 'angle', least: -60, most: 60 },
  { key: 'roll', label: 'Roll trim, right', kind: 'angle', least: -60, most: 60 },
];
const OF_RUN: Readonly<Record<FlightRun['kind'], readonly RecordNumber<RunKey>[]>> = {
  level: [SPEED, ...TRIMS],
  climb: [SPEED, ...TRIMS],
  glide: [SPEED, { key: 'glideRatio', label: 'Glide ratio', kind: 'number', least: 0, most: 100 }, ...TRIMS],
  stall: [SPEED],
};

/** Everything of a flight that may be noted after it. */
export function FlightFields({ flight }: { readonly flight: Flight }) {
  const dispatch = useAppDispatch();
  const change = (part: FlightPart) => {
    void told('The flight was not changed', () => dispatch(changeFlight(flight, part)));
    return null;
  };
  const changeRun = (index: number, part: Partial<FlightRun>) =>
    change({
      runs: flight.runs.map((run, at) =>
        at === index
          ? (Object.fromEntries(
              Object.entries({ ...run, ...part }).filter(([, value]) => value !== undefined),
            ) as unknown as FlightRun)
          : run,
      ),
    });
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1.5 pb-2">
      <RecordNumbers numbers={NUMBERS} record={flight} onChange={change} />
      <RecordNote label="Pack" value={flight.pack} most={120} onChange={(pack) => change({ pack })} />
      <RecordNote
        label="Changed before it"
        value={flight.changed}
        most={2000}
        onChange={(changed) => change({ changed })}
      />
      <RecordNote label="Note" value={flight.notes} most={2000} onChange={(notes) => change({ notes })} />
      {flight.runs.map((run, index) => (
        <fieldset key={index} className="col-span-2 grid grid-cols-2 gap-x-2 gap-y-1 border-l-2 border-rule pl-2">
          <legend className="sr-only">Run {index + 1}</legend>
          <SelectField
            label={`Run ${index + 1}${run.from === 'recorder' ? ', recorded' : ''}`}
            value={run.kind}
            options={RUN_WORDS}
            onChange={(kind) => changeRun(index, { kind })}
          />
          <div className="flex items-end justify-end">
            <IconButton
              label={`Take run ${index + 1} out`}
              icon={<Trash2 size={15} />}
              onClick={() => change({ runs: flight.runs.filter((_, at) => at !== index) })}
            />
          </div>
          <RecordNumbers
            numbers={OF_RUN[run.kind]}
            record={run}
            onChange={(part) => changeRun(index, part as Partial<FlightRun>)}
          />
        </fieldset>
      ))}
      <div className="col-span-2">
        <Button onClick={() => change({ runs: [...flight.runs, { kind: 'glide', from: 'hand' }] })}>Add a run</Button>
      </div>
      <Recording flight={flight} onRuns={(runs) => change({ runs })} />
      <CrashFields flight={flight} onChange={change} />
      <RecordPhotos of={flight.id} />
    </div>
  );
}

/** Gates of what was broken: they are opened again, and stand as open on the bench. */
function GatesAgain({
  crash,
  onChosen,
}: {
  readonly crash: NonNullable<Flight['crash']>;
  readonly onChosen: (gates: string[]) => void;
}) {
  const dispatch = useAppDispatch();
  const design = useAppSelector((state) => state.document.present!);
  const gates = gatesOf(design);
  if (gates.length === 0) return null;
  const chosen = gates.filter(({ step }) => crash.gates.includes(step));
  return (
    <div className="col-span-2">
      <ChoiceChips
        legend="Gates to read again"
        options={gates.map(({ step, name, quantity }) => [step, `${name}, ${quantity}`] as const)}
        chosen={crash.gates}
        onChange={onChosen}
      />
      {chosen.length > 0 && (
        <Button
          className="mt-1"
          onClick={() => {
            dispatch(openGatesAgain(chosen));
            toast('They are open again on the bench; undo takes that back.');
          }}
        >
          Open {chosen.length === 1 ? 'it' : 'them'} again
        </Button>
      )}
    </div>
  );
}

/** What a crash broke, and what it weighs after the repair. */
function CrashFields({
  flight: { crash },
  onChange,
}: {
  readonly flight: Flight;
  readonly onChange: (part: FlightPart) => null;
}) {
  return (
    <div className="col-span-2">
      <CheckField
        checked={crash !== undefined}
        onChange={(crashed) => onChange({ crash: crashed ? { broke: [], gates: [] } : undefined })}
      >
        It crashed
      </CheckField>
      {crash && (
        <div className="mt-1 grid grid-cols-2 gap-x-2 gap-y-1">
          <RecordNote
            label="What broke, one after another with commas"
            value={crash.broke.join(', ')}
            most={1000}
            onChange={(words) =>
              onChange({
                crash: {
                  ...crash,
                  broke: words
                    .split(',')
                    .map((one) => one.trim())
                    .filter((one) => one !== '')
                    .slice(0, 50),
                },
              })
            }
          />
          <RecordNumbers
            numbers={[{ key: 'massAfter', label: 'Weighs after repair', kind: 'mass', least: 0, most: 50_000 }]}
            record={crash}
            onChange={({ massAfter }) => {
              const { massAfter: _, ...rest } = crash;
              return onChange({ crash: massAfter === undefined ? rest : { ...rest, massAfter } });
            }}
          />
          <GatesAgain crash={crash} onChosen={(gates) => onChange({ crash: { ...crash, gates } })} />
          <p className="col-span-2 text-label text-faint">
            Read the gates of what was glued again, balance it, and weigh it before the next flight. What crashed is not
            weighed with the others.
          </p>
        </div>
      )}
    </div>
  );
}
