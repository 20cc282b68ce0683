import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Control, ControlFunction, Surface } from '@/core/2-document/schema/surface';
import type { Design } from '@/core/2-document/schema/design';
import { linkageTravel } from '@/core/6-groups/feel/linkage';
import { hingeClearances, LEAST_GAP } from '@/core/3-shape/geometry/hingeClearance';
import { decimal, formatLength } from '@/words/formatQuantity';
import { editDesign, setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { shownTimes, useSet } from '../fields/useSet';

const FUNCTIONS: readonly (readonly [ControlFunction, string])[] = [
  ['aileron', 'Aileron'],
  ['elevator', 'Elevator'],
  ['rudder', 'Rudder'],
  ['elevon', 'Elevon'],
  ['flaperon', 'Flaperon'],
  ['ruddervator', 'Ruddervator'],
  ['flap', 'Flap'],
];

const USUAL: Record<Surface['role'], ControlFunction> = {
  wing: 'aileron',
  secondWing: 'aileron',
  tailplane: 'elevator',
  canard: 'elevator',
  fin: 'rudder',
  tipFin: 'rudder',
  vTail: 'ruddervator',
};

/** Hinges, throws and linkages of one surface. */
export function ControlsEditor({ design, surface }: { readonly design: Design; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const setControls = (controls: Control[]) =>
    dispatch(
      editDesign((current) => ({
        ...current,
        surfaces: current.surfaces.map((other) => (other.id === surface.id ? { ...other, controls } : other)),
      })),
    );
  const add = () => {
    const taken = new Set(design.surfaces.flatMap(({ controls }) => controls.map(({ id }) => id)));
    let id: string = USUAL[surface.role];
    for (let number = 2; taken.has(id); number++) id = `${USUAL[surface.role]}${number}`;
    setControls([
      ...surface.controls,
      {
        id,
        name: '',
        function: USUAL[surface.role],
        from: 0,
        to: 1,
        hingeInboard: 0.72,
        hingeOutboard: 0.72,
        allMoving: false,
        throwUp: 20,
        throwDown: 20,
      },
    ]);
  };
  return (
    <Section
      title="Controls"
      aside={
        <Button onClick={add}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {surface.controls.length === 0 && <p className="text-sm text-faint">Nothing moves on this surface.</p>}
      <ul className="space-y-2">
        {surface.controls.map((control) => (
          <ControlRow
            key={control.id}
            design={design}
            surface={surface}
            control={control}
            onRemove={() => setControls(surface.controls.filter(({ id }) => id !== control.id))}
          />
        ))}
      </ul>
    </Section>
  );
}

interface ControlRowProps {
  readonly design: Design;
  readonly surface: Surface;
  readonly control: Control;
  readonly onRemove: () => void;
}

function ControlRow({ design, surface, control, onRemove }: ControlRowProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const [open, setOpen] = useState(false);
  const of = ['surfaces', surface.id, 'controls', control.id] as const;
  const set = useSet();
  const name = control.name || control.id;
  const clearance = hingeClearances(design).find((entry) => entry.control === control.id);
  const linkage = control.servo ? linkageTravel(control.servo) : null;
  return (
    <li className="border-b border-soft pb-2">
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex-1 cursor-pointer text-left text-sm hover:underline"
        >
          {name}
          <span className="text-faint">
            {' '}
            · {decimal(control.throwUp, 1)}° up, {decimal(control.throwDown, 1)}° down
          </span>
        </button>
        <IconButton label={`Take ${name} out`} icon={<Trash2 size={15} />} onClick={onRemove} />
      </div>
      {clearance && clearance.gap < LEAST_GAP && (
        <p className="text-[13px] text-caution">
          {clearance.gap < 0
            ? `It runs ${formatLength(-clearance.gap, units)} into the fuselage at its inboard end.`
            : `Only ${formatLength(clearance.gap, units)} to the fuselage: it will rub.`}
        </p>
      )}
      {open && (
        <div className="mt-1 grid grid-cols-3 gap-x-2 gap-y-1.5">
          <SelectField
            label="Answers to"
            value={control.function}
            options={FUNCTIONS}
            onChange={(value) => dispatch(setFields([field(...of, 'function').to(value)]))}
          />
          <QuantityField
            label="From (of span)"
            kind="percent"
            value={control.from * 100}
            onCommit={shownTimes(100, set(field(...of, 'from')))}
          />
          <QuantityField
            label="To (of span)"
            kind="percent"
            value={control.to * 100}
            onCommit={shownTimes(100, set(field(...of, 'to')))}
          />
          <QuantityField
            label="Hinge inboard"
            kind="percent"
            value={control.hingeInboard * 100}
            onCommit={shownTimes(100, set(field(...of, 'hingeInboard')))}
          />
          <QuantityField
            label="Hinge outboard"
            kind="percent"
            value={control.hingeOutboard * 100}
            onCommit={shownTimes(100, set(field(...of, 'hingeOutboard')))}
          />
          <label className="flex items-end gap-1.5 pb-1 text-sm">
            <input
              type="checkbox"
              className="accent-balance"
              checked={control.allMoving}
              onChange={(event) => dispatch(setFields([field(...of, 'allMoving').to(event.target.checked)]))}
            />
            all moving
          </label>
          <QuantityField
            label="Throw up"
            kind="angle"
            value={control.throwUp}
            onCommit={set(field(...of, 'throwUp'))}
          />
          <QuantityField
            label="Throw down"
            kind="angle"
            value={control.throwDown}
            onCommit={set(field(...of, 'throwDown'))}
          />
          {control.servo ? (
            <>
              <QuantityField
                label="Servo travel"
                kind="angle"
                value={control.servo.travel}
                onCommit={set(field(...of, 'servo', 'travel'))}
              />
              <QuantityField
                label="Servo arm"
                kind="length"
                value={control.servo.arm}
                onCommit={set(field(...of, 'servo', 'arm'))}
              />
              <QuantityField
                label="Horn height"
                kind="length"
                value={control.servo.horn}
                onCommit={set(field(...of, 'servo', 'horn'))}
              />
              <div className="flex items-end">
                <Button
                  className="w-full"
                  disabled={linkage!.binds}
                  onClick={() => {
                    const degrees = Math.round(Math.min(60, linkage!.degrees) * 10) / 10;
                    dispatch(setFields([field(...of, 'throwUp').to(degrees), field(...of, 'throwDown').to(degrees)]));
                  }}
                >
                  {linkage!.binds ? 'binds' : `Take ${decimal(linkage!.degrees, 1)}°`}
                </Button>
              </div>
            </>
          ) : (
            <div className="flex items-end">
              <Button
                className="w-full"
                onClick={() => dispatch(setFields([field(...of, 'servo').to({ travel: 45, arm: 12, horn: 15 })]))}
              >
                Add linkage
              </Button>
            </div>
          )}
        </div>
      )}
    </li>
  );
}
