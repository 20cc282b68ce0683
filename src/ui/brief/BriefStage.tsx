import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import type { Brief } from '@/core/2-document/schema/brief';
import type { QuantityKind } from '@/words/parseQuantity';
import { editDesign } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { ChoiceChips } from '../fields/ChoiceChips';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { BoardSheets } from './BoardSheets';
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

const DRAWER_KINDS = [
  ['motor', 'Motor'],
  ['pack', 'Pack'],
  ['spar', 'Spar stock'],
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
  const dispatch = useAppDispatch();
  const set = useSet();
  const { brief } = design;
  const setDrawer = (drawer: Brief['drawer']) =>
    dispatch(editDesign((current) => ({ ...current, brief: { ...current.brief, drawer } })));
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
      <Section
        title="In the drawer"
        isRare
        aside={
          <Button
            onClick={() =>
              setDrawer([...brief.drawer, { kind: 'motor', name: `Motor ${brief.drawer.length + 1}`, mass: 30 }])
            }
          >
            <Plus size={14} aria-hidden="true" /> Add
          </Button>
        }
      >
        {brief.drawer.length === 0 && (
          <p className="text-read text-faint">
            Empty: generic sizes are taken. Motors and packs that you enter are used instead.
          </p>
        )}
        <ul className="space-y-1.5">
          {brief.drawer.map((entry, index) => {
            const change = (next: Partial<typeof entry>) =>
              setDrawer(brief.drawer.map((other, place) => (place === index ? { ...other, ...next } : other)));
            const name = entry.name || `entry ${index + 1}`;
            return (
              <li key={`${index}-${brief.drawer.length}`} className="grid grid-cols-[84px_1fr_72px_28px] gap-1.5">
                <SelectField
                  hideLabel
                  label={`Kind of ${name}`}
                  value={(DRAWER_KINDS.find(([kind]) => kind === entry.kind)?.[0] ?? 'motor') as 'motor'}
                  options={DRAWER_KINDS as unknown as readonly (readonly ['motor', string])[]}
                  onChange={(kind) => change({ kind })}
                />
                <TextField
                  hideLabel
                  label={`Name of ${name}`}
                  value={entry.name}
                  onCommit={(value) => change({ name: value })}
                />
                <QuantityField
                  hideLabel
                  label={`Mass of ${name}`}
                  kind="mass"
                  value={entry.mass}
                  onCommit={(mass) => change({ mass })}
                />
                <IconButton
                  label={`Take ${name} out of the drawer`}
                  icon={<Trash2 size={15} />}
                  onClick={() => setDrawer(brief.drawer.filter((_, place) => place !== index))}
                />
              </li>
            );
          })}
        </ul>
      </Section>
    </>
  );
}
