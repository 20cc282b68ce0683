import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Surface } from '@/core/2-document/schema/surface';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { MOST_OFF_THICKEST, offThickest, sparPlaces } from '@/core/3-shape/pattern/sparPlace';
import { decimal, formatLength } from '@/words/formatQuantity';
import { addSpar, removeSpar } from '@/store/airframe';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { SelectField } from '../fields/SelectField';
import { QuantityField } from '../fields/QuantityField';
import { RodStockFields, type StockPaths } from '../fields/RodStockFields';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';
import { useSet } from '../fields/useSet';
import type { FieldOf } from '@/core/2-document/edit/field';

const LEVELS = [
  ['upper', 'under the upper face'],
  ['middle', 'midway'],
  ['lower', 'on the lower face'],
] as const;

const ADD = (
  <Button>
    <Plus size={14} aria-hidden="true" /> Add
  </Button>
);

interface RodsProps {
  readonly surface: Surface;
  readonly title?: string;
}

/** Rods and spars of a surface: where they run, what they weigh, and how they wander through the chord. */
export function Rods({ surface, title = 'Rods through the chord' }: RodsProps) {
  const dispatch = useAppDispatch();
  return (
    <Section
      title={title}
      remembered="Rods through the chord"
      isRare
      aside={
        <Menu trigger={ADD} align="end">
          {ROD_STOCK.map((stock) => (
            <MenuEntry
              key={stock.name}
              onSelect={() => dispatch(addSpar(surface.id, stock))}
              aside={`${stock.linearDensity} g/m`}
            >
              {stock.name}
            </MenuEntry>
          ))}
        </Menu>
      }
    >
      {surface.spars.length === 0 && (
        <p className="text-label text-faint">
          None: the board carries it alone. A straight rod is a line in plan; its place in the chord follows.
        </p>
      )}
      {surface.spars.map((spar) => (
        <Rod key={spar.id} surface={surface} spar={spar} />
      ))}
    </Section>
  );
}

const stockOfSpar = (surface: string, spar: string): StockPaths => {
  const of = ['surfaces', surface, 'spars', spar] as const;
  return {
    linearDensity: field(...of, 'linearDensity'),
    shape: field(...of, 'shape'),
    width: field(...of, 'width'),
    height: field(...of, 'height'),
    innerDiameter: field(...of, 'innerDiameter'),
    material: field(...of, 'material'),
    sagTest: field(...of, 'sagTest'),
  };
};

function Rod({ surface, spar }: { readonly surface: Surface; readonly spar: Surface['spars'][number] }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const name = spar.name || spar.id;
  const set = useSet();
  const of = ['surfaces', surface.id, 'spars', spar.id] as const;
  const length = (label: string, target: FieldOf<number>, value: number) => (
    <QuantityField label={label} kind="length" value={value} onCommit={set(target)} />
  );
  return (
    <div className="mb-2 border-b border-soft pb-2">
      <div className="flex items-end gap-1">
        <div className="flex-1">
          <TextField label="Rod" value={name} onCommit={set(field(...of, 'name'))} />
        </div>
        <IconButton
          label={`Take ${name} out`}
          icon={<Trash2 size={15} />}
          onClick={() => dispatch(removeSpar(surface.id, spar.id))}
        />
      </div>
      <div className="mt-1 grid grid-cols-4 gap-x-1.5 gap-y-1">
        {length('Root, aft', field(...of, 'start', 'x'), spar.start.x)}
        {length('End, aft', field(...of, 'end', 'x'), spar.end.x)}
        {length('Reaches', field(...of, 'end', 'distanceFromRoot'), spar.end.distanceFromRoot)}
        <SelectField label="Lies" value={spar.level} options={LEVELS} onChange={set(field(...of, 'level'))} />
        <RodStockFields stock={spar} at={stockOfSpar(surface.id, spar.id)} />
      </div>
      <table className="mt-1 w-full text-label">
        <caption className="sr-only">Where {name} lies in the chord</caption>
        <thead>
          <tr className="text-left text-faint">
            {['From root', 'In the chord', 'Thickest at', 'Room'].map((head) => (
              <th key={head} scope="col" className="font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sparPlaces(surface, spar.id).map((place) => (
            <tr key={place.distance} className="border-t border-soft">
              <td>{formatLength(place.distance, units, 0)}</td>
              <td className={offThickest(place) > MOST_OFF_THICKEST ? 'text-caution' : ''}>
                {decimal(place.fraction * 100, 0)} %
              </td>
              <td>{place.thickest === null ? 'even' : `${decimal(place.thickest * 100, 0)} %`}</td>
              <td>{formatLength(place.height, units, 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
