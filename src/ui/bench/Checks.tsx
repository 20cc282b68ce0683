import { type Degrees, type Grams, gramsFromKilograms, metresFromMillimetres } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { isWing } from '@/core/2-document/schema/roles';
import { turnBySticks } from '@/core/8-bench/sightSticks';
import { forgetReading, keepReading } from '@/store/bench';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { CheckField } from '../fields/CheckField';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { told } from '../shell/told';
import { benchNumber } from '../power/benchNumber';
import { SteadyReading } from './SteadyReading';

type Reading = RecordOf<'benchReadings'>;

/** Sticks of that length are sighted over one another [mm]. */
const STICK = 500;
/** What of a thrust line and of a warp no pilot feels [°]: half of what hands are off. C. */
const LITTLE: Readonly<Record<'thrustAngle' | 'warp', Degrees>> = { thrustAngle: 0.5, warp: 0.7 };

const TICKS = [
  ['hinges', 'Hinges free and tight, nothing rubs'],
  ['neutral', 'Controls in the middle with the stick in the middle'],
  ['range', 'Range checked at reduced power, antenna away from carbon'],
  ['failsafe', 'Failsafe closes the throttle when the transmitter is switched off'],
] as const;

/** What is checked when it is built: thrust and its line, warp, radio. */
export function Checks({ design }: { readonly design: Design }) {
  const kept = useRecords('benchReadings');
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const isOf = (id: string) => kept.find((reading) => reading.id === id);
  const tick = (id: string, isDone: boolean) =>
    told('It was not kept', async () => {
      if (!isDone) return dispatch(forgetReading(id));
      const because = await dispatch(keepReading({ id, what: 'check', value: 1, notes: '' }));
      if (because) throw new Error(because);
      return undefined;
    });
  const wings = design.surfaces.filter((surface) => isWing(surface) && surface.mirrored);
  return (
    <Section title="When it is built">
      {design.propulsion
        .filter(({ rubber }) => !rubber)
        .map((drive) => (
          <Drive key={drive.id} drive={drive} read={isOf(`thrust-angle-${drive.id}`)} />
        ))}
      {wings.map(({ id, name }) => (
        <Kept
          key={id}
          id={`warp-${id}`}
          what="warp"
          part={id}
          kind="length"
          label={`${name || id}: tips apart on sticks of ${formatValue(metresFromMillimetres(STICK), 'length', units)}, left up`}
          read={isOf(`warp-${id}`)}
          toDegrees={(apart) => turnBySticks(apart, STICK)}
          expected={0}
          off={(by) => `Warped by ${decimal(Math.abs(by), 1)}°, ${by > 0 ? 'left' : 'right'} nose up: twist it back.`}
        />
      ))}
      <ul className="mt-2 space-y-0.5">
        {TICKS.map(([id, words]) => (
          <li key={id}>
            <CheckField
              className="pointer-coarse:min-h-11"
              checked={isOf(`check-${id}`) !== undefined}
              onChange={(isDone) => void tick(`check-${id}`, isDone)}
            >
              {words}
            </CheckField>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-label text-faint">
        Two straight sticks across the wing, one at each tip, are sighted along the span. Thrust: model held fast,
        nobody in the plane of the disc.
      </p>
    </Section>
  );
}

/** A force as the scales of people show it. */
const pullOf = (newtons: number): Grams => gramsFromKilograms(newtons / GRAVITY);

/** Thrust on a luggage scale, and the line it pulls along. */
function Drive({ drive, read }: { readonly drive: Propulsion; readonly read: Reading | undefined }) {
  const dispatch = useAppDispatch();
  const name = drive.name || drive.id;
  const limits = useAppSelector((state) => state.analysis.current?.driveLimits.find(({ id }) => id === drive.id));
  const thrust = useAppSelector((state) => state.analysis.current?.power.staticThrust ?? null);
  const of = benchNumber(drive, 'thrust');
  const propellers = useAppSelector((state) =>
    (state.document.present?.propulsion ?? []).reduce((sum, { mirrored }) => sum + (mirrored ? 2 : 1), 0),
  );
  // What was measured before is taken out again: the made-up one pulls beside what is computed.
  const each = thrust === null ? null : thrust / Math.max(1, propellers) / (limits?.thrustFactor ?? 1);
  return (
    <div className="mb-2">
      <div className="grid grid-cols-2 items-end gap-x-2">
        <MaybeField
          label={`${name}: thrust of one`}
          kind="mass"
          value={drive.benchTest?.thrust}
          {...(each === null ? {} : { placeholder: decimal(pullOf(each), 0) })}
          of={of}
        />
        {each !== null && (
          <SteadyReading
            kind="pull"
            label="Read the pull"
            on={{ newtons: each }}
            onRead={([newtons]) => dispatch(setFields([of.to(Math.max(1, Math.round(pullOf(newtons!))))]))}
          />
        )}
      </div>
      {drive.benchTest?.thrust !== undefined && limits && (
        <p className="mt-0.5 text-label text-faint">
          {decimal(100 * limits.thrustFactor, 0)} % of what was computed; from now on it counts.
        </p>
      )}
      <Kept
        id={`thrust-angle-${drive.id}`}
        what="thrustAngle"
        part={drive.id}
        kind="angle"
        label={`${name}: thrust line, nose down`}
        read={read}
        toDegrees={(angle) => angle}
        expected={drive.downThrust}
        off={(by) =>
          `It points ${decimal(Math.abs(by), 1)}° farther ${by > 0 ? 'down' : 'up'} than drawn: shim the motor.`
        }
      />
    </div>
  );
}

interface KeptProps {
  readonly id: string;
  readonly what: 'thrustAngle' | 'warp';
  readonly part: string;
  readonly kind: 'angle' | 'length';
  readonly label: string;
  readonly read: Reading | undefined;
  readonly toDegrees: (typed: number) => Degrees;
  readonly expected: Degrees;
  /** What is said when it is off by that. */
  readonly off: (by: Degrees) => string;
}

/** Farther off nothing of it is a reading. */
const MOST = 30;

/** A number that is read once it is built, and what it means. */
function Kept({ id, what, part, kind, label, read, toDegrees, expected, off }: KeptProps) {
  const dispatch = useAppDispatch();
  const by = read === undefined ? 0 : read.value - expected;
  const isRight = Math.abs(by) <= LITTLE[what];
  const typed = read === undefined ? undefined : kind === 'angle' ? read.value : Number(read.notes);
  const keep = (value: number) => {
    const degrees = toDegrees(value);
    if (!(Math.abs(degrees) <= MOST)) return { path: '', message: `must lie within ${MOST}°` };
    // What was typed is kept beside what it means.
    void told('It was not kept', async () => {
      const because = await dispatch(
        keepReading({ id, what, part, value: degrees, notes: kind === 'angle' ? '' : String(value) }),
      );
      if (because) throw new Error(because);
    });
    return null;
  };
  return (
    <div className="mt-1">
      <QuantityField
        label={label}
        kind={kind}
        step={kind === 'angle' ? 0.1 : 0.5}
        digits={1}
        value={typed}
        placeholder={decimal(expected, 1)}
        onCommit={keep}
        onClear={() => {
          void told('It was not taken away', () => dispatch(forgetReading(id)));
          return null;
        }}
      />
      {read && (
        <p
          className={`mt-0.5 border-l-4 px-2 py-0.5 text-read ${isRight ? 'border-balance bg-balance-soft' : 'border-caution bg-caution-soft'}`}
        >
          {isRight ? 'Right.' : off(by)}
        </p>
      )}
    </div>
  );
}
