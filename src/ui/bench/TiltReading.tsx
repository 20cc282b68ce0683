import { Gauge } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Degrees } from '@/core/1-base/units/convert';
import type { Gate, Side } from '@/core/8-bench/gates';
import { mayNotBeTurned, notTurned, START, type TwoWay, withShown } from '@/core/8-bench/twoWay';
import type { Driver } from '@/instruments/driver';
import { isHeldInHand, phone } from '@/instruments/phone';
import { serial } from '@/instruments/serial';
import { bench, standIns } from '@/instruments/standIns';
import { useAppSelector } from '@/store/hooks';
import type { Settings } from '@/store/settingsSlice';
import { decimal } from '@/words/formatQuantity';
import { Button } from '../shell/buttons';
import { Gone } from './Gone';
import { useInstrument } from './useInstrument';

/** What reads a tilt; null where it is typed. */
export function tiltDriverOf(meter: Settings['meter']): Driver | null {
  switch (meter) {
    case 'standIn':
      return standIns;
    case 'serial':
      return serial;
    case 'phone':
      return phone;
    case 'own':
      return isHeldInHand() ? phone : null;
  }
}

const BY: Readonly<Record<Driver['id'], string>> = {
  phone: 'this phone',
  standIn: 'the made-up meter',
  serial: 'the meter on the line',
};
const METER: Readonly<Record<Driver['id'], string>> = { ...BY, phone: 'the phone' };

type Done = Extract<TwoWay, { phase: 'done' }>;
type Waiting = Exclude<TwoWay['phase'], 'done'>;

/** What to do with it next. */
function wordsFor(phase: Waiting, { id }: Driver): string {
  const nose = id === 'phone' ? 'its top edge to the nose' : 'its front to the nose';
  const rear = id === 'phone' ? 'top edge to the rear' : 'its front to the rear';
  return {
    forward: `Lay ${METER[id]} flat on the face, ${nose}, and leave it alone.`,
    turning: `Now turn it end for end, ${rear}, and lay it on the same place.`,
    turned: 'Leave it alone.',
  }[phase];
}

interface TiltReadingProps {
  /** Joint and side that are read. */
  readonly gate: Pick<Gate, 'step'>;
  readonly side: Side;
  readonly onRead: (slope: Degrees) => void;
}

/** Reads a slope with a meter, twice and turned between, so that its own zero falls out. */
export function TiltReading(props: TiltReadingProps) {
  const driver = tiltDriverOf(useAppSelector((state) => state.settings.meter));
  return driver && <By key={driver.id} driver={driver} {...props} />;
}

function By({ driver, gate, side, onRead }: TiltReadingProps & { readonly driver: Driver }) {
  const [state, setState] = useState<TwoWay | null>(null);
  const [last, setLast] = useState<number | null>(null);
  /** A made-up meter is turned by a press: what moves it before that is a knock. */
  const [isPressed, setPressed] = useState(false);
  /** What was read, where nobody can tell whether it was turned between. */
  const [doubted, setDoubted] = useState<{ readonly forward: Degrees; readonly read: Done } | null>(null);
  const [refused, setRefused] = useState<Parameters<typeof Gone>[0]['why'] | null>(null);
  const isMadeUp = driver.id === 'standIn';
  /** Puts the made-up meter where a hand would put a real one. */
  const lay = async (turned: boolean) => {
    const because = isMadeUp ? await bench.lay('tilt', { step: gate.step, side, turned }) : null;
    if (because) toast(because);
    return because === null;
  };
  const leave = () => {
    setState(null);
    setPressed(false);
    setDoubted(null);
    if (isMadeUp) void bench.lay('tilt', null);
  };
  const finish = (read: Done) => {
    leave();
    onRead(Math.round(100 * read.slope) / 100);
    toast(`Read ${decimal(read.slope, 2)}°; ${METER[driver.id]} shows ${decimal(read.zero, 2)}° when level.`);
  };
  const lost = useInstrument(driver, 'tilt', state !== null, ({ t, values }) => {
    const [value] = values as [number];
    setLast(value);
    if (!state) return;
    if (doubted) return;
    const next = withShown(state, { t, value });
    if (next.phase === 'done') {
      if (!isMadeUp && state.phase === 'turned' && mayNotBeTurned(next))
        setDoubted({ forward: state.forward, read: next });
      else finish(next);
    } else if (isMadeUp && !isPressed && next.phase === 'turned') setState(notTurned(next.forward));
    else setState(next);
  });
  const begin = async () => {
    // What was read before, and why it ended, is over.
    setState(null);
    setPressed(false);
    setDoubted(null);
    const why = await driver.ask('tilt');
    setRefused(why);
    setLast(null);
    setState(why || !(await lay(false)) ? null : START);
  };
  const why = refused ?? (state && lost);
  return (
    <div className="col-span-2 mt-1">
      {state && !why ? (
        <div role="group" aria-label={`Reading ${side}`} className="border-l-4 border-balance bg-sheet p-2">
          <p className="text-3xl font-semibold tabular-nums" aria-hidden="true">
            {last === null ? '–' : `${decimal(last, isMadeUp ? 2 : 1)}°`}
          </p>
          <p role="status">
            {doubted
              ? 'Both readings are alike: was it turned end for end between them?'
              : wordsFor(state.phase as Waiting, driver)}
          </p>
          <span className="mt-1 flex gap-2">
            {isMadeUp && state.phase === 'turning' && (
              <Button
                look="strong"
                className="min-h-11"
                onClick={() => {
                  setPressed(true);
                  void lay(true);
                }}
              >
                Turn it round
              </Button>
            )}
            {doubted && (
              <>
                <Button look="strong" className="min-h-11" onClick={() => finish(doubted.read)}>
                  It was turned
                </Button>
                <Button
                  className="min-h-11"
                  onClick={() => {
                    setState(notTurned(doubted.forward));
                    setDoubted(null);
                  }}
                >
                  Not yet
                </Button>
              </>
            )}
            <Button className="min-h-11" onClick={leave}>
              Stop
            </Button>
          </span>
        </div>
      ) : (
        <Button className="min-h-11" onClick={() => void begin()}>
          <Gauge size={15} aria-hidden="true" /> Read {side} by {BY[driver.id]}
        </Button>
      )}
      {why && (
        <Gone
          why={why}
          driver={driver}
          kind="tilt"
          onRenewed={() => {
            setRefused(null);
            leave();
          }}
        />
      )}
    </div>
  );
}
