import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Degrees } from '@/core/1-base/units/convert';
import type { Flight, FlightDeed } from '@/core/8-field/sights';
import { logFlight } from '@/store/field';
import { tickedOff } from '@/store/fieldSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { clickCalibrated } from '@/store/settingsSlice';
import { decimal, formatSpeed } from '@/words/formatQuantity';
import { SteadyReading } from '../bench/SteadyReading';
import { Choices } from '../fields/Choices';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import { DEED_WORDS } from './fieldWords';
import { useFlights } from './flightsHere';

type Verdict = Flight['verdict'];
const VERDICTS: readonly (readonly [Verdict, string])[] = [
  ['better', 'better'],
  ['same', 'the same'],
  ['worse', 'worse'],
];
const WINDS: readonly (readonly [string, string])[] = [
  ['0', 'calm'],
  ['2', 'light'],
  ['4', 'steady'],
  ['7', 'strong'],
];
const MINUTES: readonly (readonly [string, string])[] = [
  ['0.5', '½'],
  ['1', '1'],
  ['2', '2'],
  ['4', '4'],
  ['8', '8'],
  ['15', '15'],
];

interface Draft {
  readonly did: readonly FlightDeed[];
  readonly verdict: Verdict | null;
  readonly wind: string | null;
  readonly minutes: string | null;
  /** Clicks nose up and to the right; null where nobody looked. */
  readonly pitch: number | null;
  readonly roll: number | null;
  readonly changed: string;
  readonly notes: string;
}
const FRESH: Draft = {
  did: [],
  verdict: null,
  wind: null,
  minutes: null,
  pitch: null,
  roll: null,
  changed: '',
  notes: '',
};

const SECONDS_A_MINUTE = 60;
/** More nobody flies in [m/s]. */
const MOST_WIND = 30;

/** A flight, logged by thumb in twenty seconds: everything may be left out. */
export function LogFlight() {
  const dispatch = useAppDispatch();
  const last = useFlights().at(-1);
  const { clickDegrees, units } = useAppSelector((state) => state.settings);
  const ticked = useAppSelector((state) => state.field.ticked);
  // Nose up is trailing edge up behind the wing, and down ahead of it.
  const noseUp = useAppSelector((state) => Math.sign(state.analysis.current?.pitch.momentFromElevator ?? -1));
  const [draft, setDraft] = useState(FRESH);
  const set = (part: Partial<Draft>) => setDraft((before) => ({ ...before, ...part }));
  const turned = (clicks: number | null, side: number): Degrees | undefined =>
    clicks === null ? undefined : side * clicks * clickDegrees || 0;
  const log = async () => {
    const [pitch, roll] = [turned(draft.pitch, noseUp), turned(draft.roll, 1)];
    const trims = { ...(pitch === undefined ? {} : { pitch }), ...(roll === undefined ? {} : { roll }) };
    const kept = await told('The flight was not logged', () =>
      dispatch(
        logFlight(last, {
          did: [...draft.did],
          verdict: draft.verdict ?? 'unknown',
          ...(draft.wind === null ? {} : { wind: Number(draft.wind) }),
          ...(draft.minutes === null ? {} : { duration: SECONDS_A_MINUTE * Number(draft.minutes) }),
          runs: Object.keys(trims).length > 0 ? [{ kind: 'level', from: 'hand', ...trims }] : [],
          ticked: [...ticked],
          changed: draft.changed.trim(),
          notes: draft.notes.trim(),
        }),
      ),
    );
    // What was pressed stays where it could not be kept.
    if (kept === null) return;
    setDraft(FRESH);
    dispatch(tickedOff([]));
    toast('The flight is logged.');
  };
  const isTwo = draft.changed.split(/[;\n]/).filter((one) => one.trim() !== '').length > 1;
  return (
    <Section title="Log a flight">
      <div className="grid grid-cols-2 gap-1.5" role="group" aria-label="What it did">
        {DEED_WORDS.map(([deed, words]) => {
          const isOn = draft.did.includes(deed);
          return (
            <Button
              key={deed}
              aria-pressed={isOn}
              look={isOn ? 'strong' : 'plain'}
              className="min-h-11 leading-tight"
              onClick={() => set({ did: isOn ? draft.did.filter((one) => one !== deed) : [...draft.did, deed] })}
            >
              {words}
            </Button>
          );
        })}
      </div>
      <Line label="Against the last flight">
        <Choices
          joined
          isLarge
          label="Against the last flight"
          options={VERDICTS}
          value={draft.verdict}
          onChange={(verdict) => set({ verdict })}
        />
      </Line>
      <Line label="Minutes in the air">
        <Choices
          joined
          isLarge
          label="Minutes in the air"
          options={MINUTES}
          value={draft.minutes}
          onChange={(minutes) => set({ minutes })}
        />
      </Line>
      <Line label="Wind">
        <Choices joined label="Wind" options={WINDS} value={draft.wind} onChange={(wind) => set({ wind })} />
        {draft.wind !== null && !WINDS.some(([value]) => value === draft.wind) && (
          <p className="mt-0.5 text-label text-faint">{formatSpeed(Number(draft.wind), units)} by the anemometer.</p>
        )}
        <SteadyReading
          kind="wind"
          label="Read the wind"
          onRead={([speed]) => set({ wind: String(Math.min(MOST_WIND, Math.max(0, Math.round(10 * speed!) / 10))) })}
        />
      </Line>
      <Clicks label="Pitch trim found" ways={['down', 'up']} value={draft.pitch} onChange={(pitch) => set({ pitch })} />
      <Clicks label="Roll trim found" ways={['left', 'right']} value={draft.roll} onChange={(roll) => set({ roll })} />
      <label className="mt-1.5 block text-label text-faint">
        Changed before this flight, one thing
        <input
          className="mt-0.5 w-full rounded-sm border border-rule bg-sheet px-2 py-1.5 text-read text-graphite"
          value={draft.changed}
          maxLength={500}
          onChange={(event) => set({ changed: event.target.value })}
        />
      </label>
      {isTwo && (
        <p role="status" className="mt-1 border-l-4 border-caution bg-caution-soft p-1.5 text-read">
          Two things at once: what this flight shows cannot be told apart.
        </p>
      )}
      <label className="mt-1.5 block text-label text-faint">
        Note
        <input
          className="mt-0.5 w-full rounded-sm border border-rule bg-sheet px-2 py-1.5 text-read text-graphite"
          value={draft.notes}
          maxLength={2000}
          onChange={(event) => set({ notes: event.target.value })}
        />
      </label>
      <Button look="strong" className="mt-2 min-h-12 w-full" onClick={() => void log()}>
        Log the flight
      </Button>
      <div className="mt-2 max-w-48">
        <QuantityField
          label="One click turns a control"
          kind="angle"
          step={0.05}
          digits={2}
          value={clickDegrees}
          onCommit={(value) => {
            if (!(value >= 0.01 && value <= 5)) return { path: '', message: 'must lie between 0.01° and 5°' };
            dispatch(clickCalibrated(value));
            return null;
          }}
        />
      </div>
      <p className="mt-1 text-label text-faint">Set ten clicks on the bench, read the angle, and take a tenth.</p>
    </Section>
  );
}

function Line({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div className="mt-1.5">
      <p className="text-label text-faint" aria-hidden="true">
        {label}
      </p>
      {children}
    </div>
  );
}

interface ClicksProps {
  readonly label: string;
  /** Towards less, and towards more. */
  readonly ways: readonly [string, string];
  readonly value: number | null;
  readonly onChange: (clicks: number | null) => void;
}

/** Clicks of a trim, one press each. */
function Clicks({ label, ways: [less, more], value, onChange }: ClicksProps) {
  const clicks = value ?? 0;
  const words =
    value === null
      ? 'not looked at'
      : clicks === 0
        ? 'in the middle'
        : `${decimal(Math.abs(clicks), 0)} ${clicks > 0 ? more : less}`;
  return (
    <div className="mt-1.5" role="group" aria-label={label}>
      <p className="text-label text-faint" aria-hidden="true">
        {label}, clicks
      </p>
      <div className="flex items-center gap-1.5">
        <Button
          className="min-h-11 flex-1"
          aria-label={`${label}: one click ${less}`}
          onClick={() => onChange(clicks - 1)}
        >
          <Minus size={16} aria-hidden="true" /> {less}
        </Button>
        <button
          type="button"
          className="min-h-11 w-28 cursor-pointer text-center text-read"
          aria-label={`${label}: ${words}. ${value === null ? 'Note it as in the middle' : 'Take it back'}`}
          onClick={() => onChange(value === null ? 0 : null)}
        >
          <span aria-live="polite">{words}</span>
        </button>
        <Button
          className="min-h-11 flex-1"
          aria-label={`${label}: one click ${more}`}
          onClick={() => onChange(clicks + 1)}
        >
          <Plus size={16} aria-hidden="true" /> {more}
        </Button>
      </div>
    </div>
  );
}
