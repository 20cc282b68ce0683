import { Plus, Trash2 } from 'lucide-react';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { field } from '@/core/2-document/edit/field';
import type { Body } from '@/core/2-document/schema/airframe';
import { addBodyRod, removeBodyRod } from '@/store/airframe';
import { useAppDispatch } from '@/store/hooks';
import { CheckField } from '../fields/CheckField';
import { QuantityField } from '../fields/QuantityField';
import { RodStockFields, type StockPaths } from '../fields/RodStockFields';
import { TextField } from '../fields/TextField';
import { useSet } from '../fields/useSet';
import { Button, IconButton } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';

const ADD = (
  <Button>
    <Plus size={14} aria-hidden="true" /> Rod or tube
  </Button>
);

/** Rods, sticks and tubes that lie along a body, such as a boom that is a tube. */
export function BodyRods({ body }: { readonly body: Body }) {
  const dispatch = useAppDispatch();
  return (
    <div className="mt-1.5" role="group" aria-label={`Rods along ${body.name || body.id}`}>
      <Menu trigger={ADD} align="start">
        {ROD_STOCK.map((stock) => (
          <MenuEntry
            key={stock.name}
            onSelect={() => dispatch(addBodyRod(body.id, stock))}
            aside={`${stock.linearDensity} g/m`}
          >
            {stock.name}
          </MenuEntry>
        ))}
      </Menu>
      {body.rods.map((rod) => (
        <BodyRod key={rod.id} body={body} rod={rod} />
      ))}
    </div>
  );
}

function BodyRod({ body, rod }: { readonly body: Body; readonly rod: Body['rods'][number] }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const of = ['bodies', body.id, 'rods', rod.id] as const;
  const name = rod.name || rod.id;
  const stock: StockPaths = {
    linearDensity: field(...of, 'linearDensity'),
    shape: field(...of, 'shape'),
    width: field(...of, 'width'),
    height: field(...of, 'height'),
    innerDiameter: field(...of, 'innerDiameter'),
    material: field(...of, 'material'),
    sagTest: field(...of, 'sagTest'),
  };
  return (
    <div className="mt-1 border-t border-soft pt-1">
      <div className="flex items-end gap-1">
        <div className="flex-1">
          <TextField label="Along the body" value={name} onCommit={set(field(...of, 'name'))} />
        </div>
        <IconButton
          label={`Take ${name} out`}
          icon={<Trash2 size={15} />}
          onClick={() => dispatch(removeBodyRod(body.id, rod.id))}
        />
      </div>
      <div className="mt-1 grid grid-cols-4 gap-x-1.5 gap-y-1">
        {(
          [
            ['from', 'From, aft'],
            ['to', 'To, aft'],
            ['y', 'To the right'],
            ['z', 'Up'],
          ] as const
        ).map(([key, label]) => (
          <QuantityField key={key} label={label} kind="length" value={rod[key]} onCommit={set(field(...of, key))} />
        ))}
        <CheckField checked={rod.mirrored} onChange={set(field(...of, 'mirrored'))}>
          left and right
        </CheckField>
        <RodStockFields stock={rod} at={stock} />
      </div>
    </div>
  );
}
