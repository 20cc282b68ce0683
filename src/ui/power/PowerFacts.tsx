import type { ComponentProps } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { formatValue } from '@/words/formatQuantity';
import { Derived, Fact } from '../numbers/Derived';
import { GroupFact } from '../numbers/GroupFact';
import { Section } from '../numbers/Section';
import { formatDuration } from './formatDuration';

type ToldProps = Omit<ComponentProps<typeof GroupFact>, 'group'>;

const Told = (props: ToldProps) => <GroupFact group="power" {...props} />;
const Lasting = (props: ToldProps) => <GroupFact group="sustained" {...props} />;
const Starting = (props: ToldProps) => <GroupFact group="takeOff" {...props} />;
const Turning = (props: ToldProps) => <GroupFact group="torque" {...props} />;
const Stopped = (props: ToldProps) => <GroupFact group="engineOut" {...props} />;

/** One number that opens to its working, or why it is not there. */
function Explained(props: {
  readonly label: string;
  readonly id: string;
  readonly format?: (value: number) => string;
}) {
  const why = useAppSelector((state) => state.analysis.current?.power.reasons[props.id]);
  return <Derived {...props} why={why ?? 'not known'} />;
}

/** To ten revolutions a minute. */
const turnsWords = (perSecond: number) => `${Math.round((perSecond * 60) / 10) * 10} rev/min`;

/** What the drives give, at rest, level, climbing, turning, starting. */
export function PowerFacts({ design }: { readonly design: Design }) {
  const isPair = useAppSelector((state) => state.analysis.current?.engineOut.drive != null);
  return (
    <>
      <Section title="Level at cruise speed">
        <Told label="Throttle" id="cruiseThrottle" unit="percent" />
        <Told label="Current" id="cruiseCurrent" unit="current" />
        <Explained label="Power of the pack" id="cruiseElectricPower" />
        <Told label="Propeller makes use of" id="propellerEfficiency" unit="percent" />
        <Explained label="Lasts, a fifth left" id="duration" format={formatDuration} />
        <Lasting label="then in reserve" id="reserveTime" format={formatDuration} />
        <Lasting label="Comes in still air" id="cruiseRange" unit="distance" />
      </Section>
      <Section title="At rest, full throttle">
        <Explained label="Thrust of all propellers" id="staticThrust" />
        <Told label="Over the weight" id="thrustToWeight" unit="percent" />
        <Told label="Power of the pack" id="staticElectricPower" unit="power" />
        <Told label="Propeller turns" id="staticTurns" format={turnsWords} />
        <Limits />
        <p className="mt-1 text-label text-faint">Thrust ±15 %, power ±20 %. Hands clear of the disc, arm last.</p>
      </Section>
      <Section title="Climb and top speed">
        <Explained label="Climbs at most" id="climbRate" />
        <Told label="at" id="climbRateSpeed" unit="speed" />
        <Told label="Steepest" id="climbAngle" unit="angle" />
        <Explained label="Fastest level" id="maximumSpeed" />
        <Told label="Pitch control at full throttle" id="pitchControlAtFullPower" unit="angle" />
        <Told label="Drag area without power" id="stoppedPropellerDragArea" unit="area" />
      </Section>
      <Section title="As long and as far as it goes" isRare>
        <Lasting label="Slowest level, half a pack" id="slowestSpeed" unit="speed" />
        <Lasting label="Fastest level, half a pack" id="fastestSpeed" unit="speed" />
        <Lasting label="Longest at" id="durationSpeed" unit="speed" />
        <Lasting label="lasts" id="duration" format={formatDuration} />
        <Lasting label="Farthest at" id="rangeSpeed" unit="speed" />
        <Lasting label="comes" id="range" unit="distance" />
        <Lasting label="Makes way against" id="windBeaten" unit="speed" />
        <Lasting label="Steepest turn it holds" id="steepestBank" unit="angle" />
        <Lasting label="at" id="steepestBankSpeed" unit="speed" />
        <Lasting label="Radius" id="turnRadius" unit="distance" />
      </Section>
      <Section title="Launch and landing" isRare>
        {design.brief.launch === 'wheels' ? (
          <Starting label="Runs on grass" id="groundRun" unit="distance" />
        ) : (
          <>
            <Starting label="Leaves the hand or bungee at" id="launchSpeed" unit="speed" />
            <Starting label="Sinks after it" id="launchHeightLost" unit="length" />
            <Starting label="Flies after" id="launchFliesAfter" unit="time" />
          </>
        )}
        <Starting label="Runs or slides after landing" id="landingRun" unit="distance" />
        <Starting label="From hand to disc behind it" id="handToDisc" unit="length" />
        <p className="mt-1 text-label text-faint">
          No wind, short grass, full throttle. A hand that throws stays ahead of the disc: throw, then open the
          throttle. Nobody stands in the plane of a disc.
        </p>
      </Section>
      <Section title="Torque and side thrust" isRare>
        <Turning label="Torque, right wing down" id="torque" unit="moment" />
        <Turning label="Roll control that holds it" id="aileron" unit="angle" />
        <Turning label="Yaw by the blade going down" id="bladeYaw" unit="moment" />
        <Turning label="Yaw by the stream on fins" id="swirlYaw" unit="moment" />
        <Turning label="Yaw for each rad/s of pull-up" id="gyroYaw" unit="moment" />
        <Turning label="Thrust to the right that cancels yaw" id="sideThrust" unit="angle" />
        <Turning label="drawn" id="sideThrustDrawn" unit="angle" />
        <Turning label="All told at" id="speed" unit="speed" />
      </Section>
      {isPair && (
        <Section title="One motor out">
          <Stopped label="Climb that is left" id="climbRate" unit="speed" />
          <Stopped label="Yaw control that holds it" id="rudder" unit="angle" />
          <Stopped label="of all there is" id="rudderShare" unit="percent" />
          <Stopped label="Slips, rudder centred" id="sideslip" unit="angle" />
          <Stopped label="Told at" id="speed" unit="speed" />
        </Section>
      )}
    </>
  );
}

const CARRIERS = [
  ['motor', 'Motor carries'],
  ['controller', 'Controller carries'],
  ['pack', 'Pack carries'],
] as const;

/** What motor, controller and pack carry at full throttle, of what they bear. */
function Limits() {
  const limits = useAppSelector((state) => state.analysis.current?.driveLimits);
  const units = useAppSelector((state) => state.settings.units);
  return limits?.map((drive) => (
    <div key={drive.id}>
      {limits.length > 1 && <p className="mt-1 text-label font-semibold">{drive.drive}</p>}
      {CARRIERS.map(([what, label]) => {
        const { current, bears, isEstimated } = drive[what];
        const of = bears === null ? '' : ` of ${isEstimated ? 'about ' : ''}${formatValue(bears, 'current', units)}`;
        return (
          <Fact key={what} label={label}>
            {formatValue(current, 'current', units)}
            {of}
            {bears !== null && current > bears && <strong className="ml-1 text-stop">too much</strong>}
          </Fact>
        );
      })}
      {drive.windingRise !== null && (
        <Fact label="Winding over the air, if it lasts">{formatValue(drive.windingRise, 'warming', units)}</Fact>
      )}
      <Fact label="Tips of the propeller">{formatValue(drive.tipSpeed, 'speed', units)}</Fact>
    </div>
  ));
}
