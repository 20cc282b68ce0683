import { Gauge } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { type InstrumentKind, INSTRUMENTS } from '@/core/8-bench/instruments/instrument';
import { type Shown, steadiness } from '@/core/8-bench/steady';
import type { Driver, Lost } from '@/instruments/driver';
import { serial } from '@/instruments/serial';
import { bench, type LaidOn, standIns } from '@/instruments/standIns';
import { useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { Button } from '../shell/buttons';
import { Gone } from './Gone';
import { useInstrument } from './useInstrument';
import { useRehearsed } from './useRehearsed';

interface SteadyReadingProps {
  readonly kind: InstrumentKind;
  /** What the press does, said on it. */
  readonly label: string;
  /** What a hand would lay on the made-up one; left out where nothing is laid on and nothing has to be empty first. */
  readonly on?: LaidOn;
  /** Numbers of all its cells once they stand still, less what it showed empty. */
  readonly onRead: (values: readonly number[]) => void;
}

/** Reads an instrument until it stands still: first empty, then with what is laid on it. Nothing where it is typed. */
export function SteadyReading(props: SteadyReadingProps) {
  const meter = useAppSelector((state) => state.settings.meter);
  const isRehearsed = useRehearsed();
  const driver = meter === 'serial' ? serial : isRehearsed ? standIns : null;
  return driver && <By key={driver.id} driver={driver} {...props} />;
}

/** What the hand does with each: said before, on the press, and while it reads. */
const ON_IT = { now: 'Lay it on.', done: 'It lies on it', meanwhile: 'Leave it alone.' } as const;
const LAY: Readonly<Record<InstrumentKind, { now: string; done: string; meanwhile: string }>> = {
  tilt: ON_IT,
  scale: ON_IT,
  stand: ON_IT,
  pull: { now: 'Hook it on, stand behind the disc, full throttle.', done: 'It pulls', meanwhile: 'Hold it fast.' },
  wind: { now: 'Hold it up, away from you.', done: 'It is held up', meanwhile: 'Keep it there.' },
};

interface Reading {
  /** What it shows with nothing on it; null until that stands still. */
  readonly empty: readonly number[] | null;
  readonly shown: readonly (readonly Shown[])[];
  /** Whether something was laid on since. */
  readonly isLaid: boolean;
}

function By({ driver, kind, label, on = null, onRead }: SteadyReadingProps & { readonly driver: Driver }) {
  const { steady, unit, cells, step, name } = INSTRUMENTS[kind];
  const nothing = () => Array.from({ length: cells }, () => 0);
  const fresh = (): Reading['shown'] => Array.from({ length: cells }, () => []);
  const isEmptyFirst = on !== null;
  const [state, setState] = useState<Reading | null>(null);
  const [refused, setRefused] = useState<Lost | null>(null);
  const isMadeUp = driver.id === 'standIn';
  const leave = () => {
    setState(null);
    if (isMadeUp) void bench.lay(kind, null);
  };
  const lay = async () => {
    const because = isMadeUp ? await bench.lay(kind, on) : null;
    if (because) toast(because);
    else setState((now) => now && { ...now, shown: fresh(), isLaid: true });
  };
  const lost = useInstrument(driver, kind, state !== null, ({ t, values }) => {
    if (!state) return;
    const shown = state.shown.map((cell, index) =>
      [...cell, { t, value: values[index]! }].filter((one) => one.t >= t - 2 * steady.window),
    );
    const found = shown.map((cell) => steadiness(cell, steady)!);
    const isWaited = state.empty !== null && !state.isLaid;
    // What was pressed meanwhile stands: a value that comes in between is of before.
    const goOn = (next: Reading) => setState((now) => (now === state ? next : now));
    if (isWaited || !found.every(({ isSteady }) => isSteady)) return goOn({ ...state, shown });
    const read = found.map(({ value }) => value);
    if (state.empty === null) return goOn({ empty: read, shown: fresh(), isLaid: false });
    leave();
    onRead(read.map((value, cell) => value - state.empty![cell]!));
  });
  const begin = async () => {
    const why = await driver.ask(kind);
    setRefused(why);
    if (!why && isMadeUp) await bench.lay(kind, null);
    setState(why ? null : { empty: isEmptyFirst ? null : nothing(), shown: fresh(), isLaid: !isEmptyFirst });
  };
  const why = refused ?? (state && lost);
  const digits = step >= 1 ? 0 : 2;
  return (
    <div>
      {state && !why ? (
        <div role="group" aria-label={label} className="border-l-4 border-balance bg-sheet p-2">
          <p className="text-2xl font-semibold tabular-nums" aria-hidden="true">
            {state.shown
              .map((cell) => (cell.length > 0 ? decimal(cell.at(-1)!.value - (state.empty?.[0] ?? 0), digits) : '–'))
              .join(' · ')}{' '}
            {unit}
          </p>
          <p role="status">
            {state.empty === null
              ? `${name}: leave it empty until it stands still.`
              : state.isLaid
                ? isEmptyFirst
                  ? LAY[kind].meanwhile
                  : `${LAY[kind].now} ${LAY[kind].meanwhile}`
                : LAY[kind].now}
          </p>
          <span className="mt-1 flex gap-2">
            {state.empty !== null && !state.isLaid && (
              <Button look="strong" className="min-h-11" onClick={() => void lay()}>
                {LAY[kind].done}
              </Button>
            )}
            <Button className="min-h-11" onClick={leave}>
              Stop
            </Button>
          </span>
        </div>
      ) : (
        <Button onClick={() => void begin()}>
          <Gauge size={15} aria-hidden="true" /> {label}
        </Button>
      )}
      {why && (
        <Gone
          why={why}
          driver={driver}
          kind={kind}
          onRenewed={() => {
            setRefused(null);
            leave();
          }}
        />
      )}
    </div>
  );
}
