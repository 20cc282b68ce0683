import { field } from '@/core/2-document/edit/field';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { usualPackCurrent } from '@/core/5-power/pack/pack';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';
import { Section } from '../numbers/Section';
import { about } from './estimates';

const MILLI = 1000;

/** Motor and speed controller of one drive. */
export function MotorFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const of = ['propulsion', drive.id] as const;
  const { motor, controller } = drive;
  const setController = (more: object) =>
    dispatch(setFields([field(...of, 'controller').to({ ...controller, ...more })]));
  if (!motor) return null;
  return (
    <Section title={`${drive.name || drive.id}: motor and controller`} remembered="Motor and controller" isRare>
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <MaybeField label="Weighs" kind="mass" value={motor.mass} of={field(...of, 'motor', 'mass')} />
        <MaybeField
          label="Bears, A"
          step={0.5}
          value={motor.maximumCurrent}
          of={field(...of, 'motor', 'maximumCurrent')}
        />
        <MaybeField
          label="No load read at, V"
          step={0.1}
          value={motor.noLoadVoltage}
          of={field(...of, 'motor', 'noLoadVoltage')}
        />
        <QuantityField
          label="Controller, A"
          kind="number"
          step={1}
          value={controller?.maximumCurrent}
          onCommit={(maximumCurrent) => setController({ maximumCurrent })}
          onClear={() => setController({ maximumCurrent: undefined })}
        />
        <QuantityField
          label="Controller, mΩ"
          kind="number"
          step={1}
          placeholder="≈ 5"
          value={controller?.resistance === undefined ? undefined : controller.resistance * MILLI}
          onCommit={(shown) => setController({ resistance: shown / MILLI })}
          onClear={() => setController({ resistance: undefined })}
        />
      </div>
      <p className="mt-1 text-label text-faint">
        With its weight winding, no-load current and heat can be estimated; with the voltage at which the no-load
        current was read it grows with the revolutions. Let nothing get hotter than a finger bears.
      </p>
    </Section>
  );
}

const CHEMISTRIES = [
  ['lithiumPolymer', 'lithium polymer'],
  ['lithiumIon', 'lithium ion, round'],
] as const;

/** The pack of one drive, from cells. */
export function PackFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const of = ['propulsion', drive.id] as const;
  const { pack } = drive;
  if (!pack) return null;
  return (
    <Section title={`${drive.name || drive.id}: pack and cells`} remembered="Pack and cells" isRare>
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <QuantityField
          label="Rows"
          kind="number"
          step={1}
          value={pack.parallel}
          onCommit={set(field(...of, 'pack', 'parallel'))}
        />
        <MaybeField
          label="Bears, A"
          step={1}
          value={pack.maximumCurrent}
          placeholder={about(usualPackCurrent(pack), 0)}
          of={field(...of, 'pack', 'maximumCurrent')}
        />
        <QuantityField
          label="Times charged"
          kind="number"
          step={10}
          value={pack.cycles}
          onCommit={set(field(...of, 'pack', 'cycles'))}
        />
        <SelectField
          label="Cells are"
          className="col-span-2"
          options={CHEMISTRIES}
          value={pack.chemistry}
          onChange={(chemistry) => dispatch(setFields([field(...of, 'pack', 'chemistry').to(chemistry)]))}
        />
        <QuantityField
          label="How warm, °C"
          kind="number"
          step={1}
          value={pack.temperature}
          onCommit={set(field(...of, 'pack', 'temperature'))}
        />
      </div>
      <p className="mt-1 text-label text-faint">
        Rows lie side by side: the capacity is that of one row. Cold and age raise its resistance and take of its
        charge. Charge it watched, in a place that cannot burn.
      </p>
    </Section>
  );
}
