import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Control, ControlFunction, Surface } from '@/core/2-document/schema/surface';
import { freshControl } from '@/core/2-document/freshControl';
import type { Design } from '@/core/2-document/schema/design';
import { hingeClearances, LEAST_GAP } from '@/core/3-shape/geometry/hingeClearance';
import { decimal, formatLength } from '@/words/formatQuantity';
import { editDesign } from '@/store/edit';
import { removeControl } from '@/store/surfaces';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';
import { ControlFields } from './ControlFields';
import { Button, IconButton } from '../shell/buttons';

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
    setControls([...surface.controls, freshControl(id, '', USUAL[surface.role])]);
  };
  return (
    <Section
      title="Controls"
      isRare
      aside={
        <Button onClick={add}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {surface.controls.length === 0 && <p className="text-read text-faint">Nothing moves on this surface.</p>}
      <ul className="space-y-2">
        {surface.controls.map((control) => (
          <ControlRow
            key={control.id}
            design={design}
            surface={surface}
            control={control}
            onRemove={() => dispatch(removeControl(surface.id, control.id))}
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
  const units = useAppSelector((state) => state.settings.units);
  const [open, setOpen] = useState(false);
  const name = control.name || control.id;
  const clearance = hingeClearances(design).find((entry) => entry.control === control.id);
  return (
    <li className="border-b border-soft pb-2">
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex-1 cursor-pointer text-left text-read hover:underline"
        >
          {name}
          <span className="text-faint">
            {' '}
            · {decimal(control.throwUp, 1)}° up, {decimal(control.throwDown, 1)}° down
            {control.neutral !== 0 && ` from ${decimal(control.neutral, 1)}°`}
          </span>
        </button>
        <IconButton label={`Take ${name} out`} icon={<Trash2 size={15} />} onClick={onRemove} />
      </div>
      {clearance && clearance.gap < LEAST_GAP && (
        <p className="text-label text-caution">
          {clearance.gap < 0
            ? `It runs ${formatLength(-clearance.gap, units)} into the fuselage at its inboard end.`
            : `Only ${formatLength(clearance.gap, units)} to the fuselage: it will rub.`}
        </p>
      )}
      {open && <ControlFields surface={surface} control={control} />}
    </li>
  );
}
