import type { GateVerdict } from '@/core/8-bench/judgeGate';
import { type Gate, readingAt } from '@/core/8-bench/gates';
import type { Design } from '@/core/2-document/schema/design';
import { toast } from 'sonner';
import { bench } from '@/instruments/standIns';
import { caughtAt, readGate } from '@/store/bench';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../numbers/Say';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';
import { TiltReading } from './TiltReading';
import { useRehearsed } from './useRehearsed';

const LOOKS: Readonly<Record<GateVerdict['state'], string>> = {
  open: 'border-rule text-faint',
  ok: 'border-balance bg-balance-soft',
  shim: 'border-caution bg-caution-soft',
  stop: 'border-stop bg-stop-soft',
};

/** What is read. */
function labelOf({ quantity, face }: Gate): string {
  if (quantity === 'square') return 'Tail against wing, right side down';
  if (quantity === 'washout') return 'Tip below the root';
  return face === 'chord' ? 'Along the chord' : `On the ${face} face`;
}

interface GateReadingsProps {
  readonly design: Design;
  readonly verdict: GateVerdict;
  /** Judged before the last change. */
  readonly isOld: boolean;
}

/** What is read at a gate, left and right, and at once what it means. */
export function GateReadings({ design, verdict: { gate, state, words, shims }, isOld }: GateReadingsProps) {
  const dispatch = useAppDispatch();
  const zero = useAppSelector((state) => state.settings.meterZero);
  const isMadeUp = useRehearsed();
  /** As the meter shows it. */
  const shown = (value: number | undefined) =>
    value === undefined ? undefined : Math.round(1000 * (value + zero)) / 1000;
  return (
    <div className="mt-1.5 mb-1">
      <div className="grid max-w-md grid-cols-2 gap-x-2">
        {gate.sides.map((side) => (
          <QuantityField
            key={side}
            label={gate.sides.length === 2 ? `${labelOf(gate)}, ${side}` : labelOf(gate)}
            kind="angle"
            step={0.1}
            digits={2}
            value={shown(readingAt(design, gate, side))}
            placeholder={decimal(gate.expected + zero, 2)}
            onCommit={(value) =>
              Math.abs(value - zero - gate.expected) <= MOST
                ? dispatch(readGate(gate, side, value - zero))
                : { path: '', message: `must lie within ${MOST}° of what is to be read` }
            }
            onClear={() => dispatch(readGate(gate, side, undefined))}
          />
        ))}
        {(gate.quantity === 'incidence' || isMadeUp) &&
          gate.sides.map((side) => (
            <TiltReading key={side} gate={gate} side={side} onRead={(slope) => dispatch(readGate(gate, side, slope))} />
          ))}
      </div>
      <p
        role="status"
        aria-label={`Gate of ${gate.name}`}
        className={`mt-1 max-w-2xl border-l-4 px-2 py-1 ${LOOKS[state]} ${isOld ? 'opacity-60' : ''}`}
      >
        <Say words={words} />
      </p>
      <Caught gate={gate} />
      {isMadeUp && (state === 'shim' || state === 'stop') && !isOld && <SetRight verdict={{ gate, state, shims }} />}
    </div>
  );
}

/** What was read here in error and put right before it was glued. */
function Caught({ gate }: { readonly gate: Gate }) {
  const caught = caughtAt(gate, useRecords('benchReadings'));
  if (caught.length === 0) return null;
  return (
    <ul aria-label={`Caught at the gate of ${gate.name}`} className="mt-1 max-w-2xl text-label text-faint">
      {caught.map(({ id, at, side, value, notes }) => (
        <li key={id}>
          Caught on {new Date(at).toLocaleDateString(undefined, { dateStyle: 'medium' })}: {decimal(value, 2)}°
          {side === 'left' || side === 'right' ? ` on the ${side}` : ''} where {decimal(gate.expected, 2)}° is to be
          read. {notes}
        </li>
      ))}
    </ul>
  );
}

/** In a rehearsal: what a hand would do to the made-up airframe; then it is to be read anew. */
function SetRight({ verdict: { gate, shims } }: { readonly verdict: Pick<GateVerdict, 'gate' | 'state' | 'shims'> }) {
  const dispatch = useAppDispatch();
  const set = async () => {
    const because = await bench.shim(gate.step, shims);
    if (because) toast(because);
    else gate.sides.forEach((side) => dispatch(readGate(gate, side, undefined)));
  };
  return (
    <Button className="mt-1 min-h-11" onClick={() => void set()}>
      {shims.length > 0 ? 'The shims are in' : 'Taken apart and set anew'}
    </Button>
  );
}

/** No reading is farther off what is to be read: it is of something else [°]. */
const MOST = 20;
