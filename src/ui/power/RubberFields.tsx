import { millinewtonMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { type Propulsion, rubberSchema } from '@/core/2-document/schema/propulsion';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { shownTimes, useSet } from '../fields/useSet';
import { GroupFact } from '../numbers/GroupFact';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const RUBBER = rubberSchema.parse({ strands: 8, length: 400, width: 3, thickness: 1 });
const HUNDRED = 100;

const turns = (value: number) => `${decimal(value, 0)} turns`;
const small = (value: number) => `${decimal(millinewtonMetres(value), 1)} mN·m`;

/** Strands of rubber in place of motor and pack. */
export function RubberFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const of = ['propulsion', drive.id, 'rubber'] as const;
  const { rubber } = drive;
  if (!rubber)
    return (
      <Section title={`${drive.name || drive.id}: rubber`} remembered="Rubber" isRare>
        <Button onClick={() => dispatch(setFields([field('propulsion', drive.id, 'rubber').to(RUBBER)]))}>
          Drive it by rubber
        </Button>
        <p className="mt-1 text-label text-faint">Strands of rubber in place of motor and pack.</p>
      </Section>
    );
  return (
    <Section title={`${drive.name || drive.id}: rubber`} remembered="Rubber">
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <QuantityField
          label="Strands"
          kind="number"
          step={1}
          value={rubber.strands}
          onCommit={set(field(...of, 'strands'))}
        />
        <QuantityField
          label="Hook to hook"
          kind="length"
          value={rubber.length}
          onCommit={set(field(...of, 'length'))}
        />
        <MaybeField label="Weighs" kind="mass" value={rubber.mass} of={field(...of, 'mass')} />
        <QuantityField label="Strip wide" kind="length" value={rubber.width} onCommit={set(field(...of, 'width'))} />
        <QuantityField label="thick" kind="length" value={rubber.thickness} onCommit={set(field(...of, 'thickness'))} />
        <QuantityField
          label="Wound to, %"
          kind="number"
          step={5}
          value={rubber.woundTo * HUNDRED}
          onCommit={shownTimes(HUNDRED, set(field(...of, 'woundTo')))}
        />
        <QuantityField
          label="Holds, kJ/kg"
          kind="number"
          step={0.5}
          value={rubber.energy}
          onCommit={set(field(...of, 'energy'))}
        />
        <QuantityField
          label="gives back, %"
          kind="number"
          step={5}
          value={rubber.returned * HUNDRED}
          onCommit={shownTimes(HUNDRED, set(field(...of, 'returned')))}
        />
        <QuantityField
          label="Turns constant"
          kind="number"
          step={5}
          value={rubber.turnsConstant}
          onCommit={set(field(...of, 'turnsConstant'))}
        />
      </div>
      <GroupFact group="rubber" label="Rubber weighs" id="mass" unit="mass" />
      <GroupFact group="rubber" label="of the whole" id="massShare" unit="percent" />
      <GroupFact group="rubber" label="Breaks at" id="mostTurns" format={turns} />
      <GroupFact group="rubber" label="Wound" id="woundTurns" format={turns} />
      <GroupFact group="rubber" label="Gives back" id="energy" unit="energy" />
      <GroupFact group="rubber" label="Torque when let go" id="mostTorque" format={small} />
      <GroupFact group="rubber" label="half run down" id="middleTorque" format={small} />
      <GroupFact group="rubber" label="Thrust when let go" id="staticThrust" unit="force" />
      <GroupFact group="rubber" label="Propeller makes use of" id="efficiency" unit="percent" />
      <GroupFact group="rubber" label="Runs for" id="runTime" unit="time" />
      <GroupFact group="rubber" label="Climbs to" id="height" unit="distance" />
      <GroupFact group="rubber" label="never more than" id="heightByEnergy" unit="distance" />
      <GroupFact group="rubber" label="Flies for" id="duration" unit="time" />
      <p className="mt-1 text-label text-faint">
        Its weight belongs into the weights table. Wind away from the face, with a tube over the strands and eyes
        protected: a motor that breaks whips. Measure the turns constant on one motor wound to breaking.
      </p>
      <Button look="quiet" onClick={() => dispatch(setFields([field('propulsion', drive.id, 'rubber').to(undefined)]))}>
        No rubber
      </Button>
    </Section>
  );
}
