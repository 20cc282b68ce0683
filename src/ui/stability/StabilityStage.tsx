import type { Analysis } from '@/core/analyse';
import type { Mode } from '@/core/6-groups/motion/linearModes';
import { decimal, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { Derived, Fact, Why } from '../numbers/Derived';
import { Schools } from '../balance/Schools';
import { MixesSection } from '../mixes/MixesSection';
import { Section } from '../numbers/Section';
import { Typeset } from '../numbers/Typeset';
import { late } from '../shell/Late';
import { ControlFeelSection } from './ControlFeelSection';
import { InPlainWords } from './InPlainWords';
import { modeWords } from './modeWords';
import { DragShares } from './DragShares';
import { WettedSection } from './WettedSection';

const SpanLoadingChart = late(() => import('./SpanLoadingChart'), {
  place: 'The chart of the span',
  meanwhile: <p className="h-[190px] text-read text-faint">Drawing the chart…</p>,
});

/** Rows of the lateral table, in the order one asks. */
const LATERAL = [
  ['yawStiffness', 'Yaw stiffness'],
  ['dihedralEffect', 'Dihedral effect (negative rolls upright)'],
  ['rollDamping', 'Roll damping'],
  ['yawDamping', 'Yaw damping'],
  ['yawFromRollRate', 'Yaw from roll rate'],
  ['rollFromYawRate', 'Roll from yaw rate'],
  ['rollFromAileron', 'Roll from aileron'],
  ['yawFromAileron', 'Yaw from aileron'],
  ['yawFromRudder', 'Yaw from rudder'],
  ['rollFromRudder', 'Roll from rudder'],
] as const;

/** Margins, downwash, stall and speeds, beside the rules of thumb, and how sure each is. */
export function StabilityStage() {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const design = useAppSelector((state) => state.document.present);
  if (!analysis) return <p className="p-3 text-read text-faint">Computing…</p>;
  const { pitch, lateral, stall, speeds } = analysis;
  return (
    <>
      <InPlainWords analysis={analysis} />
      <Section title="Pitch">
        <Derived id="neutralPoint" label="Neutral point, whole" />
        <Derived
          id="neutralPointWithoutTail"
          label="Neutral point without tail"
          why={pitch.reasons['neutralPointWithoutTail'] ?? 'not known'}
        />
        <Derived id="staticMargin" />
        <Fact label="Manoeuvre margin">
          {pitch.manoeuvreMargin === null ? (
            <Why text={pitch.reasons['manoeuvreMargin']} />
          ) : (
            `${decimal(pitch.manoeuvreMargin * 100, 1)} %`
          )}
        </Fact>
        <Derived id="window" />
        <Derived
          id="downwash"
          label="Downwash where it is met"
          why={pitch.reasons['downwash'] ?? 'not known'}
          beside={pitch.downwashSlope === null ? undefined : `, ${decimal(pitch.downwashSlope, 2)} per α`}
        />
        <Derived id="trimAlpha" />
        <Derived id="elevator" label="Pitch control at cruise" why={analysis.trim.reasons['elevator'] ?? 'not known'} />
        <Derived id="zeroLiftMoment" />
        <Derived id="pitchDamping" />
      </Section>
      <RiggingAndMixes analysis={analysis} />
      <ControlFeelSection />
      {design && <MixesSection design={design} />}
      <Section title="Stall along the span">
        {stall.strips.length > 0 ? (
          <>
            <SpanLoadingChart strips={stall.strips} />
            {stall.marginAtRollControls !== null && (
              <Fact label="Lift left at the roll controls">{decimal(stall.marginAtRollControls, 2)}</Fact>
            )}
            <Fact label="Washout that moves it inboard">
              {stall.washoutToMoveInboard === null ? (
                <Why text={stall.reasons['washoutToMoveInboard']} />
              ) : stall.washoutToMoveInboard === 0 ? (
                'none needed'
              ) : (
                formatValue(stall.washoutToMoveInboard, 'angle', units)
              )}
            </Fact>
            {stall.flappedLiftCoefficient !== null && (
              <Fact label={`With flaps down ${formatValue(stall.flapDroop!, 'angle', units)}`}>
                <Typeset text="C_L" /> {decimal(stall.flappedLiftCoefficient, 2)}
                {stall.flappedSpeed !== null && `, ${formatValue(stall.flappedSpeed, 'speed', units)}`}
              </Fact>
            )}
            <p className="text-label text-faint">
              The first strip to stall lies on “{stall.surface}” at{' '}
              {Math.round((stall.startsAtSpanFraction ?? 0) * 100)} % of the half span, at <Typeset text="C_L" />{' '}
              {decimal(stall.liftCoefficient ?? 0, 2)} ±12 %.
            </p>
          </>
        ) : (
          <Why text={stall.reasons['liftCoefficient'] ?? stall.reasons['startsAtSpanFraction']} />
        )}
      </Section>
      <Section title="Speeds" isRare>
        <Derived id="stallSpeed" />
        <Derived id="approach" />
        <Derived
          id="pitchFloor"
          label="Slowest flare, full nose-up control"
          why={speeds.reasons['pitchFloor'] ?? speeds.reasons['stall'] ?? 'not known'}
        />
        <Derived
          id="bestGlide"
          label="Best glide"
          why={speeds.reasons['bestGlide'] ?? 'not known'}
          beside={speeds.glideRatio === null ? undefined : `, 1 : ${decimal(speeds.glideRatio, 1)}`}
        />
        <Derived
          id="minimumSink"
          label="Least sink"
          why={speeds.reasons['minimumSink'] ?? 'not known'}
          beside={speeds.sink === null ? undefined : `, sinks ${decimal(speeds.sink, 2)} m/s`}
        />
        <Derived id="drag" />
      </Section>
      <DragShares drag={analysis.drag} design={design} />
      <WettedSection wetted={analysis.wetted} />
      <Schools />
      <Motion motion={analysis.motion} />
      <Section title="Roll and yaw, per radian" isRare>
        {LATERAL.map(([key, label]) => (
          <Derived key={key} id={key} label={label} why={lateral.reasons[key] ?? 'not known'} />
        ))}
      </Section>
    </>
  );
}

const MODE_NAMES: Record<Mode['kind'], string> = {
  phugoid: 'Slow rise and fall (phugoid)',
  shortPeriod: 'Quick nodding (short period)',
  dutchRoll: 'Tail wagging (Dutch roll)',
  roll: 'Roll dies away',
  spiral: 'Spiral',
  rollSpiral: 'Slow roll and spiral together',
  slow: 'Nodding that does not swing',
  fast: 'Nodding that does not swing',
};

/** Small motions about level flight at the cruise speed. */
function Motion({ motion }: { readonly motion: Analysis['motion'] }) {
  const modes = [...motion.longitudinal, ...motion.lateral];
  return (
    <Section title="Left alone after a nudge" isRare>
      {modes.length === 0 && <Why text={motion.reasons['longitudinal']} />}
      {modes.map((mode, index) => (
        <Fact
          key={`${mode.kind}${index}`}
          label={
            mode.grows && mode.period === null && mode.kind !== 'spiral' ? 'The nose departs' : MODE_NAMES[mode.kind]
          }
        >
          {modeWords(mode)}
        </Fact>
      ))}
    </Section>
  );
}

/** Power, tail angle, shared controls and left–right differences: what the trim depends on. */
function RiggingAndMixes({ analysis }: { readonly analysis: Analysis }) {
  const units = useAppSelector((state) => state.settings.units);
  const { trim, slipstream, sharedThrow, asymmetry } = analysis;
  const angle = (value: number | null) => (value === null ? '–' : formatValue(value, 'angle', units));
  const percent = (share: number) => `${decimal(share * 100, 0)} %`;
  const differs = asymmetry !== null && Math.abs(asymmetry.roll) + Math.abs(asymmetry.yaw) > 1e-6;
  return (
    <Section title="Trim and mixes" isRare>
      <Derived
        id="tailIncidence"
        label="Tail angle for a neutral control"
        why={trim.reasons['tailIncidence'] ?? 'not known'}
      />
      {trim.elevatorPowerOff !== null && (
        <Fact label="Pitch control with power off">{angle(trim.elevatorPowerOff)}</Fact>
      )}
      {trim.thrustMoment !== null && Math.abs(trim.thrustMoment) > 5e-5 && (
        <Fact label="Thrust pitches the nose">
          {trim.thrustMoment > 0 ? 'up' : 'down'}, <Typeset text="C_m" /> {decimal(trim.thrustMoment, 4)}
        </Fact>
      )}
      {trim.flapElevator !== null && <Fact label="Pitch control that flaps ask for">{angle(trim.flapElevator)}</Fact>}
      {slipstream && (
        <Fact label="Propeller air over the tail">
          {slipstream.tailShare > 0
            ? `${percent(slipstream.tailShare)} of it, ${decimal(slipstream.pressureRatio, 2)} × pressure`
            : 'none'}
        </Fact>
      )}
      {trim.climbElevator !== null && Math.abs(trim.climbElevator) > 1e-3 && (
        <Fact label="Pitch control for full throttle in a climb">{angle(trim.climbElevator)} ± 30 %</Fact>
      )}
      {sharedThrow && (
        <>
          <Fact label="Roll left at the cruise trim">{percent(sharedThrow.rollLeftAtTrim)}</Fact>
          <Fact label="Pitch left with half, full roll">
            {percent(sharedThrow.pitchLeftAtHalfRoll)}, {percent(sharedThrow.pitchLeftAtFullRoll)}
          </Fact>
        </>
      )}
      {asymmetry && differs && (
        <Fact label="Left–right difference: roll, yaw trim">
          {angle(asymmetry.aileron)}, {angle(asymmetry.rudder)}
        </Fact>
      )}
    </Section>
  );
}
