import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, ClipboardPaste, Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { WEIGHT_GROUPS, type WeightGroup, type WeightRow, weightRows } from '@/core/4-weight/weightRows';
import { decimal, formatMass } from '@/words/formatQuantity';
import { weightsCsv } from '@/files/weightsTable';
import { useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import { PasteWeights } from './PasteWeights';
import { WeightCells } from './WeightCells';

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
  filterFns: { includesString: filterFn_includesString },
});

const helper = createColumnHelper<typeof features, WeightRow>();
const columns = helper.columns([
  helper.accessor('name', { header: 'Part', sortFn: 'alphanumeric' }),
  helper.accessor('group', { header: 'Group', sortFn: 'alphanumeric' }),
  helper.accessor('computed', { header: 'Computed', sortFn: 'basic', enableGlobalFilter: false }),
  helper.accessor((row) => row.measured ?? -1, {
    id: 'weighed',
    header: 'Weighed',
    sortFn: 'basic',
    enableGlobalFilter: false,
  }),
  helper.accessor('counts', { id: 'share', header: 'Share', sortFn: 'basic', enableGlobalFilter: false }),
  helper.accessor('x', { header: 'Aft', sortFn: 'basic', enableGlobalFilter: false }),
  helper.accessor('z', { header: 'Up', sortFn: 'basic', enableGlobalFilter: false }),
]);

const NO_ROWS: WeightRow[] = [];

/** All parts with what they weigh and where: sorted, filtered, summed by group, out and in as text. */
export function WeightsTable() {
  const design = useAppSelector((state) => state.document.present!);
  const parts = useAppSelector((state) => state.analysis.current?.mass.parts);
  const units = useAppSelector((state) => state.settings.units);
  const [pasting, setPasting] = useState(false);
  const data = useMemo(() => (parts ? weightRows(design, parts) : NO_ROWS), [design, parts]);
  const table = useTable({
    features,
    columns,
    data,
    globalFilterFn: 'includesString' as const,
    getRowId: (row: WeightRow) => `${row.kind}-${row.id}`,
  });
  const rows = table.getRowModel().rows.map(({ original }) => original);
  const isGrouped = table.state.sorting.length === 0;
  const sum = (list: readonly WeightRow[]) => list.reduce((total, { counts }) => total + counts, 0);
  const groups: readonly (readonly [WeightGroup | null, readonly WeightRow[]])[] = isGrouped
    ? WEIGHT_GROUPS.map((group) => [group, rows.filter((row) => row.group === group)] as const).filter(
        ([, list]) => list.length > 0,
      )
    : [[null, rows]];
  return (
    <section aria-label="Weights" className="flex h-full flex-col small:h-auto small:border-b small:border-rule">
      <div className="flex items-center gap-2 border-b border-rule px-3 py-1.5">
        <input
          type="search"
          aria-label="Show only parts that contain"
          placeholder="Filter"
          value={(table.state.globalFilter as string | undefined) ?? ''}
          onChange={(event) => table.setGlobalFilter(event.target.value)}
          className="w-40 rounded-sm border border-rule bg-white px-1.5 py-0.5 text-read"
        />
        {!isGrouped && (
          <Button look="quiet" onClick={() => table.resetSorting()}>
            By group
          </Button>
        )}
        <span className="ml-auto" />
        <Button onClick={() => setPasting(true)}>
          <ClipboardPaste size={14} aria-hidden="true" /> Paste rows
        </Button>
        <Button
          onClick={() =>
            downloadFile({
              name: `${design.name} weights.csv`,
              parts: [weightsCsv(design, data, units)],
              type: 'text/csv',
            })
          }
        >
          <Download size={14} aria-hidden="true" /> CSV
        </Button>
      </div>
      {pasting && <PasteWeights onClose={() => setPasting(false)} />}
      <div
        className="min-h-0 flex-1 overflow-y-auto small:overflow-visible"
        tabIndex={0}
        role="group"
        aria-label="Table of weights"
      >
        <table className="w-full table-fixed small:block text-read" data-testid="weights">
          <thead className="small:hidden sticky top-0 z-[1] bg-paper">
            <tr className="text-label text-faint">
              {table.getHeaderGroups()[0]!.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className={header.id === 'name' ? 'w-[27%] text-left font-normal' : 'text-left font-normal'}
                  >
                    <button
                      type="button"
                      className="flex w-full cursor-pointer items-center gap-1 px-1.5 py-1 hover:bg-soft"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {String(header.column.columnDef.header)}
                      {sorted === 'asc' && <ArrowUp size={12} aria-hidden="true" />}
                      {sorted === 'desc' && <ArrowDown size={12} aria-hidden="true" />}
                    </button>
                  </th>
                );
              })}
              <th scope="col" className="w-16">
                <span className="sr-only">Keep or take out</span>
              </th>
            </tr>
          </thead>
          {groups.map(([group, list]) => (
            <tbody key={group ?? 'all'} className="small:block">
              {group && (
                <tr className="border-t border-rule bg-soft/60 small:flex small:justify-between">
                  <th
                    scope="rowgroup"
                    colSpan={4}
                    className="px-1.5 py-0.5 text-left text-label font-semibold first-letter:uppercase"
                  >
                    {group}
                  </th>
                  <td colSpan={4} className="px-1.5 text-label font-semibold" data-subtotal={group}>
                    {formatMass(sum(list), units)}
                  </td>
                </tr>
              )}
              {list.map((row) => (
                <WeightCells
                  key={`${row.kind}-${row.id}`}
                  row={row}
                  item={row.kind === 'item' ? design.massItems.find(({ id }) => id === row.id) : undefined}
                />
              ))}
            </tbody>
          ))}
          <tfoot className="small:block">
            <tr className="border-t border-graphite font-semibold small:flex small:justify-between">
              <th scope="row" colSpan={4} className="px-1.5 py-1 text-left">
                {rows.length === data.length ? 'All of it' : `${rows.length} of ${data.length} parts`}
              </th>
              <td colSpan={4} className="px-1.5">
                {formatMass(sum(rows), units)}
                {rows.length !== data.length && ` (${decimal((100 * sum(rows)) / Math.max(1e-9, sum(data)), 0)} %)`}
              </td>
            </tr>
          </tfoot>
        </table>
      </div>
    </section>
  );
}
