import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Brief } from '@/core/2-document/schema/brief';
import type { QuantityKind } from '@/words/parseQuantity';
import { ChoiceChips } from '../fields/ChoiceChips';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { BoardSheets } from './BoardSheets';
import { InTheDrawer } from './InTheDrawer';
import { useSet } from '../fields/useSet';

const PURPOSES = [
  ['float', 'Float about slowly'],
  ['train', 'Learn and train'],
  ['payload', 'Carry something'],
  ['soar', 'Soar in light air'],
  ['wind', 'Penetrate wind'],
  ['aerobatics', 'Aerobatics'],
  ['experiment', 'Try something out'],
] as const satisfies readonly (readonly [Brief['purpose'], string])[];

const GRIPS = [
  ['plain', 'its fuselage'],
  ['good', 'a grip made for it'],
] as const;

const LAUNCHES = [
  ['hand', 'Thrown by hand'],
  ['wheels', 'Off wheels'],
  ['bungee', 'Off a bungee'],
] as const;

const CONTROLS = [
  ['aileron', 'Ailerons'],
  ['elevator', 'Elevator'],
  ['rudder', 'Rudder'],
  ['throttle', 'Throttle'],
  ['flap', 'Flaps'],
] as const;

type LimitKey = 'fieldLength' | 'wind' | 'payloadMass' | 'maximumMass' | 'maximumSpan' | 'longestPanel';

/** Limits of the brief that may stay open. */
const LIMITS: readonly (readonly [LimitKey, string, QuantityKind])[] = [
  ['fieldLength', 'Field length (m)', 'number'],
  ['wind', 'Wind to fly in', 'speed'],
  ['payloadMass', 'To be carried', 'mass'],
  ['maximumMass', 'Weight class', 'mass'],
  ['maximumSpan', 'Greatest span', 'length'],
  ['longestPanel', 'Longest panel in the car', 'length'],
];

/** What it must do, where, within which limits, and what is in the drawer. */
export function BriefStage({ design }: { readonly design: Design }) {
  const set = useSet();
  const { brief } = design;
  return (
    <>
      <Section title="What it is for">
        <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
          <SelectField
            label="Purpose"
            value={brief.purpose}
            options={PURPOSES}
            onChange={set(field('brief', 'purpose'))}
          />
          <SelectField
            label="Launch"
            value={brief.launch}
            options={LAUNCHES}
            onChange={set(field('brief', 'launch'))}
          />
          {brief.launch === 'hand' && (
            <SelectField label="Held by" value={brief.grip} options={GRIPS} onChange={set(field('brief', 'grip'))} />
          )}
          {LIMITS.map(([key, label, kind]) => (
            <QuantityField
              key={key}
              label={label}
              kind={kind}
              step={kind === 'number' ? 10 : undefined}
              value={brief[key]}
              placeholder="open"
              onCommit={set(field('brief', key))}
              onClear={() => set(field('brief', key))(undefined)}
            />
          ))}
          <QuantityField
            label="Wing loading (g/dm²)"
            kind="number"
            step={1}
            value={brief.targetWingLoading === undefined ? undefined : brief.targetWingLoading / 100}
            placeholder="computed"
            onCommit={(value) => set(field('brief', 'targetWingLoading'))(value * 100)}
            onClear={() => set(field('brief', 'targetWingLoading'))(undefined)}
          />
        </div>
        <div className="mt-2">
          <ChoiceChips
            legend="Controls wanted (none ticked: what is usual)"
            options={CONTROLS}
            chosen={brief.controls}
            onChange={set(field('brief', 'controls'))}
          />
        </div>
      </Section>
      <BoardSheets design={design} />
      <InTheDrawer drawer={brief.drawer} />
    </>
  );
}
