import { field } from '@/core/2-document/edit/field';
import { motorSchema, packSchema, type Propulsion } from '@/core/2-document/schema/propulsion';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { about, motorEstimate, usualResistance } from './estimates';

/** What a drive is taken for until it is typed: 1000 rev/min/V, a tenth of an ohm, three cells of 1300 mAh. */
const MOTOR = motorSchema.parse({ speedConstant: 1000, resistance: 0.1, noLoadCurrent: 0.8 });
const PACK = packSchema.parse({ cells: 3, capacity: 1300 });
const MILLI = 1000;

/** The nine numbers of a drive that are asked for first. */
export function DriveFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const of = ['propulsion', drive.id] as const;
  const { motor, pack, rubber } = drive;
  const estimate = motor ? motorEstimate(motor) : null;
  return (
    <Section title={`${drive.name || drive.id}: motor, propeller, pack`} remembered="Motor, propeller, pack">
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
        {motor && !rubber && (
          <>
            <QuantityField
              label="rev/min per volt"
              kind="number"
              step={10}
              value={motor.speedConstant}
              onCommit={set(field(...of, 'motor', 'speedConstant'))}
            />
            <MaybeField
              label="Winding, mΩ"
              step={5}
              times={MILLI}
              value={motor.resistance}
              placeholder={about(estimate && estimate.resistance * MILLI, 0)}
              of={field(...of, 'motor', 'resistance')}
            />
            <MaybeField
              label="No load, A"
              step={0.1}
              value={motor.noLoadCurrent}
              placeholder={about(estimate && estimate.noLoadCurrent, 2)}
              of={field(...of, 'motor', 'noLoadCurrent')}
            />
          </>
        )}
        {!motor && !rubber && (
          <Button className="col-span-3" onClick={() => dispatch(setFields([field(...of, 'motor').to(MOTOR)]))}>
            Describe the motor
          </Button>
        )}
        {pack && !rubber && (
          <>
            <QuantityField
              label="Cells"
              kind="number"
              step={1}
              value={pack.cells}
              onCommit={set(field(...of, 'pack', 'cells'))}
            />
            <QuantityField
              label="Capacity, mAh"
              kind="number"
              step={50}
              value={pack.capacity}
              onCommit={set(field(...of, 'pack', 'capacity'))}
            />
            <MaybeField
              label="Pack, mΩ"
              step={5}
              times={MILLI}
              value={pack.resistance}
              placeholder={about(usualResistance(pack) * MILLI, 0)}
              of={field(...of, 'pack', 'resistance')}
            />
          </>
        )}
        {!pack && !rubber && (
          <Button className="col-span-3" onClick={() => dispatch(setFields([field(...of, 'pack').to(PACK)]))}>
            Describe the pack
          </Button>
        )}
      </div>
      <p className="mt-1 text-label text-faint">
        {rubber
          ? 'Rubber turns it: see below.'
          : `${drive.mirrored ? 'Two motors on one pack. ' : ''}Winding and no-load current are on the data sheet, or measured without propeller; left empty they are estimated from what the motor weighs (±50 %).`}
      </p>
    </Section>
  );
}
