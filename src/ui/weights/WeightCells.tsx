import { field } from '@/core/2-document/edit/field';
import { Archive, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { WeightRow } from '@/core/4-weight/weightRows';
import { decimal, formatLength, formatMass } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { keepInDrawer } from '@/store/drives';
import { removeItem } from '@/store/weights';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { IconButton } from '../shell/buttons';
import { useSet } from '../fields/useSet';
import type { EditOutcome } from '@/store/edit';
import { undone } from '@/store/documentSlice';

const LISTS = { surface: 'surfaces', body: 'bodies', item: 'massItems' } as const;

/** A number of the row; on a phone its name stands above it in place of the head of the table. */
const CELL =
  'px-1 small:before:block small:before:px-1 small:before:text-note small:before:text-faint small:before:content-[attr(data-label)]';

interface WeightCellsProps {
  readonly row: WeightRow;
  /** The equipment of the row; board parts are none. */
  readonly item: MassItem | undefined;
}

/** Rows are made anew with every change: one whose numbers are the same is not drawn anew. */
const isSame = (a: WeightCellsProps, b: WeightCellsProps): boolean => a.item === b.item && shallowEqual(a.row, b.row);

/** One part: equipment is typed, board parts weigh themselves until they are weighed. */
export const WeightCells = memo(function WeightCells({ row, item }: WeightCellsProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const set = useSet();
  const weighed = set(field(LISTS[row.kind], row.id, 'measuredMass'));
  const perSide = item?.mirrored ? 2 : 1;
  const takeOut = () => {
    dispatch(removeItem(row.id));
    toast(`${row.name} was taken out.`, {
      action: { label: 'Undo', onClick: () => void dispatch(undone()) },
    });
  };
  const cell = (
    label: string,
    kind: 'mass' | 'length',
    value: number | undefined,
    commit: (value: number) => EditOutcome,
    clear?: () => EditOutcome,
  ) => (
    <QuantityField
      hideLabel
      hideUnit
      label={label}
      kind={kind}
      value={value}
      placeholder={clear ? 'weigh' : undefined}
      onCommit={commit}
      onClear={clear}
    />
  );
  return (
    <tr className="border-t border-soft small:grid small:grid-cols-4 small:items-end small:gap-y-1 small:py-1.5">
      <th scope="row" className="px-1.5 py-0.5 text-left font-normal small:col-span-3">
        {item ? (
          <TextField
            hideLabel
            label={`Name of ${row.name}`}
            value={row.name}
            onCommit={set(field('massItems', row.id, 'name'))}
          />
        ) : (
          <span className="block leading-tight" title={row.name}>
            {row.name}
          </span>
        )}
      </th>
      <td className="px-1.5 text-label leading-tight text-faint small:hidden">
        {item ? spaced(item.category) : row.kind === 'surface' ? 'board' : 'body'}
        {perSide === 2 && ' ×2'}
      </td>
      <td className={CELL} data-label="mass">
        {item ? (
          cell(`Mass of ${row.name}`, 'mass', item.mass, set(field('massItems', row.id, 'mass')))
        ) : (
          <span className="block px-1.5 text-right whitespace-nowrap">
            {formatMass(row.computed, units, 1).replace(/ (g|oz)$/, '')}
          </span>
        )}
      </td>
      <td className={CELL} data-label="weighed">
        {cell(
          `Weighed mass of ${row.name}`,
          'mass',
          row.measured === null ? undefined : row.measured / perSide,
          weighed,
          () => weighed(undefined),
        )}
      </td>
      <td className="px-1.5 text-right text-label small:hidden">{decimal(row.share * 100, 1)} %</td>
      <td className={CELL} data-label="aft of datum">
        {item ? (
          cell(`${row.name} aft of datum`, 'length', row.x, set(field('massItems', row.id, 'position', 'x')))
        ) : (
          <Place value={row.x} />
        )}
      </td>
      <td className={CELL} data-label="above datum">
        {item ? (
          cell(`${row.name} above datum`, 'length', row.z, set(field('massItems', row.id, 'position', 'z')))
        ) : (
          <Place value={row.z} />
        )}
      </td>
      <td className="px-1 text-right whitespace-nowrap small:col-start-4 small:row-start-1">
        {item && (
          <>
            <IconButton
              label={`Keep ${row.name} in my drawer`}
              className="!size-7"
              icon={<Archive size={14} />}
              onClick={() => dispatch(keepInDrawer(item))}
            />
            <IconButton
              label={`Take ${row.name} out`}
              className="!size-7"
              icon={<Trash2 size={14} />}
              onClick={takeOut}
            />
          </>
        )}
      </td>
    </tr>
  );
}, isSame);

function Place({ value }: { readonly value: number }) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <span className="block px-1.5 text-right text-faint">{formatLength(value, units, 0).replace(/ (mm|in)$/, '')}</span>
  );
}

const spaced = (key: string) => key.replaceAll(/([A-Z])/g, ' $1').toLowerCase();
