import { CheckField } from '../fields/CheckField';
import { decimal } from '@/words/formatQuantity';
import { isWing } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { formatLength } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { removeSurface } from '@/store/surfaces';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { IconButton } from '../shell/buttons';
import { useSet } from '../fields/useSet';
import { undone } from '@/store/documentSlice';

/** Name, angle and place of one surface; between two wings also gap and stagger. */
export function PlaceFields({ design, surface }: { readonly design: Design; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const name = surface.name || surface.id;
  const set = useSet();
  const other = design.surfaces.find(
    (candidate) =>
      candidate.id !== surface.id && isWing(candidate) && isWing(surface) && candidate.role !== surface.role,
  );
  const remove = () => {
    dispatch(removeSurface(surface.id));
    toast(`${name} was taken out.`, { action: { label: 'Undo', onClick: () => void dispatch(undone()) } });
  };
  return (
    <Section
      title={name}
      remembered="Place of a surface"
      aside={<IconButton label={`Take ${name} out`} icon={<Trash2 size={15} />} onClick={remove} />}
    >
      <div className="grid grid-cols-3 gap-x-2 gap-y-1.5">
        <TextField
          className="col-span-2"
          label="Name"
          value={name}
          onCommit={set(field('surfaces', surface.id, 'name'))}
        />
        <QuantityField
          label="Incidence"
          kind="angle"
          value={surface.incidence}
          onCommit={set(field('surfaces', surface.id, 'incidence'))}
        />
        <QuantityField
          label="Aft of datum"
          kind="length"
          value={surface.position.x}
          onCommit={set(field('surfaces', surface.id, 'position', 'x'))}
        />
        <QuantityField
          label="Above datum"
          kind="length"
          value={surface.position.z}
          onCommit={set(field('surfaces', surface.id, 'position', 'z'))}
        />
        {surface.mirrored && (
          <QuantityField
            label="Off the centre"
            kind="length"
            value={surface.position.y}
            onCommit={set(field('surfaces', surface.id, 'position', 'y'))}
          />
        )}
      </div>
      <CheckField
        className="mt-1"
        checked={surface.filleted}
        onChange={(checked) => set(field('surfaces', surface.id, 'filleted'))(checked)}
      >
        corners at the fuselage rounded out
      </CheckField>
      {other && (
        <div className="mt-1.5 grid grid-cols-2 gap-x-2">
          <QuantityField
            label={`Gap to ${(other.name || other.id).toLowerCase()}`}
            kind="length"
            value={Math.abs(surface.position.z - other.position.z)}
            onCommit={(gap) =>
              set(field('surfaces', surface.id, 'position', 'z'))(
                other.position.z + (surface.position.z >= other.position.z ? gap : -gap),
              )
            }
          />
          <QuantityField
            label="Stagger behind it"
            kind="length"
            value={surface.position.x - other.position.x}
            onCommit={(stagger) => set(field('surfaces', surface.id, 'position', 'x'))(other.position.x + stagger)}
          />
          <div className="col-span-2">
            <Fact label="Gap over chord">
              {decimal(Math.abs(surface.position.z - other.position.z) / surface.stations[0]!.chord, 2)} of{' '}
              {formatLength(surface.stations[0]!.chord, units, 0)}
            </Fact>
          </div>
        </div>
      )}
    </Section>
  );
}
