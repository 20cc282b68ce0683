import { Plus } from 'lucide-react';
import type { ComponentProps } from 'react';
import { field } from '@/core/2-document/edit/field';
import { packSchema, type Propulsion } from '@/core/2-document/schema/propulsion';
import type { Design } from '@/core/2-document/schema/design';
import { addDrive } from '@/store/airframe';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { shownTimes, useSet } from '../fields/useSet';
import { GroupFact } from '../numbers/GroupFact';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { formatDuration } from './formatDuration';

/** What a drive is taken for until it is typed: 1000 rev/min/V, a tenth of an ohm, three cells of 1300 mAh. */
const MOTOR = { speedConstant: 1000, resistance: 0.1, noLoadCurrent: 0.8 } as const;
const PACK = { cells: 3, capacity: 1300, resistance: 0.04 } as const;
const MILLI = 1000;

/** What drives it, what that gives, and how long it lasts. */
export function PowerStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  return (
    <>
      {design.propulsion.length === 0 && (
        <div className="p-3">
          <Button onClick={() => dispatch(addDrive('tractor'))}>
            <Plus size={14} aria-hidden="true" /> Drive
          </Button>
        </div>
      )}
      {design.propulsion.map((drive) => (
        <DriveFields key={drive.id} drive={drive} />
      ))}
      <Section title="At rest, full throttle">
        <Told label="Thrust of all propellers" id="staticThrust" unit="force" />
        <Told label="Over the weight" id="thrustToWeight" unit="percent" />
        <Told label="Current of the pack" id="staticCurrent" unit="current" />
        <Told label="Of the busiest motor" id="staticMotorCurrent" unit="current" />
        <Told label="Power of the pack" id="staticElectricPower" unit="power" />
        <Told label="Propeller turns" id="staticTurns" format={turnsWords} />
        <p className="mt-1 text-label text-faint">
          Thrust ±15 %, power ±20 %. Compare the current with what motor, controller and pack may bear; hands clear of
          the disc, arm last.
        </p>
      </Section>
      <Section title="Level at cruise speed">
        <Told label="Throttle" id="cruiseThrottle" unit="percent" />
        <Told label="Current" id="cruiseCurrent" unit="current" />
        <Told label="Power of the pack" id="cruiseElectricPower" unit="power" />
        <Told label="Propeller makes use of" id="propellerEfficiency" unit="percent" />
        <Told label="Lasts, a fifth left" id="duration" format={formatDuration} />
      </Section>
      <Section title="Climb and top speed">
        <Told label="Climbs at most" id="climbRate" unit="speed" />
        <Told label="at" id="climbRateSpeed" unit="speed" />
        <Told label="Steepest" id="climbAngle" unit="angle" />
        <Told label="Fastest level" id="maximumSpeed" unit="speed" />
        <Told label="Pitch control at full throttle" id="pitchControlAtFullPower" unit="angle" />
        <Told label="Drag area without power" id="stoppedPropellerDragArea" unit="area" />
      </Section>
    </>
  );
}

type ToldProps = Omit<ComponentProps<typeof GroupFact>, 'group'>;

const Told = (props: ToldProps) => <GroupFact group="power" {...props} />;

/** To ten revolutions a minute. */
const turnsWords = (perSecond: number) => `${Math.round((perSecond * 60) / 10) * 10} rev/min`;

/** Motor, propeller and pack of one drive. */
function DriveFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const of = ['propulsion', drive.id] as const;
  const name = drive.name || drive.id;
  return (
    <Section title={`${name}: motor, propeller, pack`} remembered="Motor, propeller, pack">
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <QuantityField
          label="Propeller ∅"
          kind="length"
          value={drive.propellerDiameter}
          onCommit={set(field(...of, 'propellerDiameter'))}
        />
        <QuantityField
          label="Pitch"
          kind="length"
          value={drive.propellerPitch}
          onCommit={set(field(...of, 'propellerPitch'))}
        />
        <QuantityField
          label="Blades"
          kind="number"
          step={1}
          value={drive.blades}
          onCommit={set(field(...of, 'blades'))}
        />
        {drive.motor ? (
          <>
            <QuantityField
              label="rev/min per volt"
              kind="number"
              step={10}
              value={drive.motor.speedConstant}
              onCommit={set(field(...of, 'motor', 'speedConstant'))}
            />
            <QuantityField
              label="Winding, mΩ"
              kind="number"
              step={5}
              value={(drive.motor.resistance ?? 0) * MILLI}
              onCommit={shownTimes(MILLI, set(field(...of, 'motor', 'resistance')))}
            />
            <QuantityField
              label="No load, A"
              kind="number"
              step={0.1}
              value={drive.motor.noLoadCurrent ?? 0}
              onCommit={set(field(...of, 'motor', 'noLoadCurrent'))}
            />
          </>
        ) : (
          <Button className="col-span-3" onClick={() => dispatch(setFields([field(...of, 'motor').to(MOTOR)]))}>
            Describe the motor
          </Button>
        )}
        {drive.pack ? (
          <>
            <QuantityField
              label="Cells"
              kind="number"
              step={1}
              value={drive.pack.cells}
              onCommit={set(field(...of, 'pack', 'cells'))}
            />
            <QuantityField
              label="Capacity, mAh"
              kind="number"
              step={50}
              value={drive.pack.capacity}
              onCommit={set(field(...of, 'pack', 'capacity'))}
            />
            <QuantityField
              label="Pack, mΩ"
              kind="number"
              step={5}
              value={(drive.pack.resistance ?? 0) * MILLI}
              onCommit={shownTimes(MILLI, set(field(...of, 'pack', 'resistance')))}
            />
          </>
        ) : (
          <Button className="col-span-3" onClick={() => dispatch(setFields([field(...of, 'pack').to(packSchema.parse(PACK))]))}>
            Describe the pack
          </Button>
        )}
      </div>
      <p className="mt-1 text-label text-faint">
        {drive.mirrored ? 'Two motors on one pack. ' : ''}Winding and no-load current are on the data sheet, or
        measured: a few volts without propeller; a lithium pack has about 12 mΩ a cell per ampere hour.
      </p>
    </Section>
  );
}
