import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Flown } from '@/core/7-flight/fly';
import { beginsAt, CARRIERS, type LaunchKind, LAUNCHES } from '@/core/7-flight/launches';
import { type PilotName, PILOTS } from '@/core/7-flight/pilots';
import type { Change } from '@/core/7-flight/toss/virtualToss';
import { stopGlider, tossItOften } from '@/store/glider';
import { tossAsked } from '@/store/gliderSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { CheckField } from '../fields/CheckField';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { didWords, far } from './tossWords';

const PILOT_WORDS: Readonly<Record<PilotName, string>> = {
  handsOff: 'hands off',
  pullUp: 'full nose up at once',
  holdHeading: 'wings held level',
  pullOut: 'pulled out of a dive',
  flare: 'flared before the ground',
  loop: 'a loop',
  roll: 'a roll to the right',
};

const LAUNCH_WORDS: Readonly<Record<LaunchKind, string>> = {
  hand: 'from the hand',
  hill: 'over a hill',
  bungee: 'off a bungee',
  wheels: 'off its wheels',
};

const CHANGES: readonly (readonly [Change['what'] | 'nothing', string])[] = [
  ['nothing', 'nothing'],
  ['balance', 'balance aft by'],
  ['tail', 'tail nose up by'],
  ['mass', 'more mass'],
];
const CHANGE_KINDS = { balance: 'length', tail: 'angle', mass: 'mass' } as const;
/** What a change begins with: enough to see. */
const FIRST = { balance: 5, tail: 0.5, mass: 50 } as const;

/** Path and height that a launch usually begins with, as the fields show them. */
const beginning = (launch: LaunchKind, fromRest: boolean) => {
  const { path, height } = beginsAt(launch, fromRest);
  return { path: degreesFromRadians(path), height };
};

/** A hand reaches no higher than a hill; arms throw no faster. */
const LIMITS = {
  speed: [1, 40],
  path: [-60, 60],
  height: [0.1, 100],
  scale: [0.05, 2],
  wind: [-10, 15],
  throttle: [0, 100],
} as const;

const within = (what: keyof typeof LIMITS, value: number) => {
  const [least, most] = LIMITS[what];
  return value >= least && value <= most ? null : { path: '', message: `must lie between ${least} and ${most}` };
};

type Ask = (part: Parameters<typeof tossAsked>[0]) => null;

/** Sets a part of what is thrown; the answer of an entry that was taken. */
function useAsk(): Ask {
  const dispatch = useAppDispatch();
  return (part) => {
    dispatch(tossAsked(part));
    return null;
  };
}

/** How it is thrown on the screen, one thing changed beside it, and many throws of a hand. */
export function ThrowFields({ design }: { readonly design: Design }) {
  const { asked, tossed } = useAppSelector((state) => state.glider);
  const ask = useAsk();
  const result = tossed?.result;
  const flights = result?.ok
    ? ([
        ['As drawn', result.own],
        ['Changed', result.changed],
      ] as const)
    : [];
  return (
    <>
      <Section title="The throw">
        <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
          <QuantityField
            label="Scale"
            kind="number"
            digits={2}
            value={asked.scale}
            onCommit={(scale) => within('scale', scale) ?? ask({ scale })}
          />
          <LaunchFields />
          {design.propulsion.length > 0 && (
            <QuantityField
              label="Throttle"
              kind="percent"
              value={100 * asked.throttle}
              onCommit={(percent) => within('throttle', percent) ?? ask({ throttle: percent / 100 })}
            />
          )}
          <div className="col-span-2">
            <SelectField
              label="Then"
              value={asked.pilot}
              options={PILOTS.map((name) => [name, PILOT_WORDS[name]] as const)}
              onChange={(pilot) => ask({ pilot })}
            />
          </div>
          <ChangeFields />
        </div>
        {flights.map(
          ([label, flown]) =>
            flown && (
              <Did key={label} label={result?.ok && result.changed ? label : 'It'} flown={flown} pilot={asked.pilot} />
            ),
        )}
        <p className="mt-1.5 text-label text-faint">
          Every strip in its own air, through the stall; beyond it ±30 %, and, like drives that tilt, never compared
          with flights. Throw over long grass, nobody ahead, hand clear of propellers.
        </p>
      </Section>
      <ManyThrows design={design} />
    </>
  );
}

/** What sends it off, how fast, where to, and into which wind. */
function LaunchFields() {
  const { asked, tossed } = useAppSelector((state) => state.glider);
  const ask = useAsk();
  const result = tossed?.result;
  const carrier = CARRIERS[asked.launch];
  const runs = carrier === 'wheels' && asked.fromRest;
  return (
    <>
      <SelectField
        label="Launch"
        value={asked.launch}
        options={LAUNCHES.map((kind) => [kind, LAUNCH_WORDS[kind]] as const)}
        onChange={(launch) => {
          // Where it begins, and with power where there is no way without.
          ask({
            launch,
            ...beginning(launch, asked.fromRest),
            speed: null,
            throttle: launch === 'wheels' && asked.throttle === 0 ? 1 : asked.throttle,
          });
        }}
      />
      {carrier && (
        <div className="col-span-2">
          <CheckField
            checked={asked.fromRest}
            onChange={(fromRest) => ask({ fromRest, ...beginning(asked.launch, fromRest) })}
          >
            {carrier === 'line' ? 'The pull of the line is flown too' : 'The run on the ground is flown too'}
          </CheckField>
        </div>
      )}
      <QuantityField
        label={runs ? 'Nose up from' : 'Speed'}
        kind="speed"
        value={asked.speed ?? undefined}
        placeholder={result?.ok ? decimal(result.launch.speed, 1) : 'as an arm'}
        onCommit={(speed) => within('speed', speed) ?? ask({ speed })}
        onClear={() => ask({ speed: null })}
      />
      {!runs && (
        <>
          <QuantityField
            label={carrier === 'line' && asked.fromRest ? 'Held, up' : 'Path, up'}
            kind="angle"
            value={asked.path}
            onCommit={(path) => within('path', path) ?? ask({ path })}
          />
          <QuantityField
            label="Height (m)"
            kind="number"
            step={0.1}
            digits={2}
            value={asked.height}
            onCommit={(height) => within('height', height) ?? ask({ height })}
          />
        </>
      )}
      {asked.launch !== 'hill' && (
        <>
          <QuantityField
            label="Wind against it"
            kind="speed"
            value={asked.wind}
            onCommit={(wind) => within('wind', wind) ?? ask({ wind })}
          />
          <div className="self-end pb-1.5">
            <CheckField checked={asked.isGusty} onChange={(isGusty) => ask({ isGusty })}>
              It gusts
            </CheckField>
          </div>
        </>
      )}
    </>
  );
}

/** One thing that is other on the flight beside it. */
function ChangeFields() {
  const { change } = useAppSelector((state) => state.glider.asked);
  const ask = useAsk();
  return (
    <>
      <SelectField
        label="Beside it, changed"
        value={change?.what ?? 'nothing'}
        options={CHANGES}
        onChange={(what) => ask({ change: what === 'nothing' ? null : { what, by: FIRST[what] } })}
      />
      {change && (
        <QuantityField
          label="By"
          kind={CHANGE_KINDS[change.what]}
          value={change.by}
          onCommit={(by) =>
            Math.abs(by) > 5000
              ? { path: '', message: 'must lie within 5000' }
              : ask({ change: { what: change.what, by } as Change })
          }
        />
      )}
    </>
  );
}

/** What a flight did, in words and numbers. */
function Did({ label, flown, pilot }: { readonly label: string; readonly flown: Flown; readonly pilot: PilotName }) {
  const units = useAppSelector((state) => state.settings.units);
  const round = flown.events.find(({ name }) => name === 'figure');
  const leaves = flown.events.find(({ name }) => name === 'leaves');
  const free = flown.events.find(({ name }) => name === 'free');
  const letGo = free && flown.samples.t.findIndex((t) => t >= free.t);
  const figure =
    pilot !== 'loop' && pilot !== 'roll'
      ? ''
      : round
        ? `comes round after ${decimal(round.t, 1)} s, then `
        : 'never comes round: ';
  return (
    <div className="mt-2">
      {free && letGo !== undefined ? (
        <Fact label="Flies free">
          after {decimal(free.t, 1)} s and {far(flown.samples.x[letGo]!, units)}, at{' '}
          {formatValue(flown.samples.speed[letGo]!, 'speed', units)}
        </Fact>
      ) : null}
      <Fact label={label}>
        {figure}
        {didWords(flown)}
      </Fact>
      <Fact label="Comes as far as">{far(flown.distance, units)}</Fact>
      {leaves && <Fact label="Leaves the field after">{decimal(leaves.t, 1)} s</Fact>}
      {flown.glideRatio !== null && <Fact label="Distance over height lost">{decimal(flown.glideRatio, 1)}</Fact>}
      {flown.sinkRate !== null && (
        <Fact label={flown.sinkRate < 0 ? 'Settled, climbs' : 'Settled, sinks'}>
          {formatValue(Math.abs(flown.sinkRate), 'speed', units)}
        </Fact>
      )}
      {flown.settledSpeed !== null && (
        <Fact label="Settled, flies">{formatValue(flown.settledSpeed, 'speed', units)}</Fact>
      )}
    </div>
  );
}

/** The same throw as a hand does it, two hundred times. */
function ManyThrows({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { asked, progress, spread } = useAppSelector((state) => state.glider);
  const { often } = progress;
  return (
    <Section title="Many throws">
      <div className="flex flex-wrap items-center gap-2">
        {often ? (
          <>
            <Button onClick={() => dispatch(stopGlider('often'))}>Stop</Button>
            <progress className="min-w-20 flex-1" aria-label="Throws flown" value={often.done} max={often.total} />
          </>
        ) : (
          <Button onClick={() => void dispatch(tossItOften(design))}>Throw 200 times</Button>
        )}
      </div>
      {spread?.result.ok && (
        <div className="mt-1.5">
          <Fact label="Go well">{decimal(100 * spread.result.well, 0)} %</Fact>
          {spread.of !== design || spread.asked !== asked ? (
            <p className="text-label text-faint">Thrown before the last change: throw again.</p>
          ) : null}
        </div>
      )}
      <p className="mt-1 text-label text-faint">
        As a hand does it: speed ±8 %, path and nose ±2.5°, bank ±5°; off a line or wheels from where they let go. It
        goes well without a stalled wing for three seconds, and down, or still flying, at a sink of less than two metres
        a second.
      </p>
    </Section>
  );
}
