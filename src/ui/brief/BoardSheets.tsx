import { squareMetresFromSquareMillimetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { type Material, materialSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { BOARDS, SHEET_SIZES } from '@/core/2-document/catalogue/boards';
import { editDesign, setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';
import { useSet } from '../fields/useSet';
import { BoardTests } from './BoardTests';

/** Papers on a sheet. */
const PAPERS = { both: 2, one: 1, none: 0 } as const;

const CORES = [
  ['extruded', 'extruded polystyrene'],
  ['bead', 'bead polystyrene'],
  ['polypropylene', 'bead polypropylene'],
  ['wood', 'light wood'],
] as const;

const FACES = [
  ['both', 'paper on both faces'],
  ['one', 'paper on one face'],
  ['none', 'paper off'],
] as const;

/** The boards at hand: thickness, sheet size and weight, by density or by weighing a sheet. */
export function BoardSheets({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<string | null>(null);
  const used = new Set([...design.surfaces, ...design.bodies].map(({ construction }) => construction?.material));
  const put = (sheet: Material) => {
    dispatch(editDesign((current) => ({ ...current, materials: [...current.materials, sheet] })));
    setOpen(sheet.id);
  };
  const add = () => {
    let number = design.materials.length + 1;
    while (design.materials.some(({ id }) => id === `board-${number}`)) number++;
    put(materialSchema.parse({ id: `board-${number}`, name: `Board ${number}`, thickness: 5, arealDensity: 400 }));
  };
  return (
    <Section
      title="Boards"
      isRare
      aside={
        <span className="flex gap-1">
          <Menu
            align="end"
            trigger={
              <Button>
                <Plus size={14} aria-hidden="true" /> From the shelf
              </Button>
            }
          >
            {BOARDS.filter(({ id }) => !design.materials.some((sheet) => sheet.id === id)).map((sheet) => (
              <MenuEntry key={sheet.id} onSelect={() => put(sheet)} aside={`${sheet.arealDensity} g/m²`}>
                {sheet.name}
              </MenuEntry>
            ))}
          </Menu>
          <Button onClick={add}>
            <Plus size={14} aria-hidden="true" /> Own
          </Button>
        </span>
      }
    >
      <ul className="space-y-1.5">
        {design.materials.map((sheet, index) => (
          <li key={sheet.id} className="border-b border-soft pb-1.5">
            <div className="flex items-center gap-1.5">
              <button
                type="button"
                className="min-w-0 flex-1 cursor-pointer leading-tight text-left text-read hover:underline"
                aria-expanded={open === sheet.id}
                onClick={() => setOpen(open === sheet.id ? null : sheet.id)}
              >
                {sheet.name || sheet.id}
                {index === 0 && <span className="text-faint"> · used for new layouts</span>}
              </button>
              <span className="text-label text-faint">{Math.round(sheet.arealDensity)} g/m²</span>
              <IconButton
                label={`Take ${sheet.name || sheet.id} out`}
                icon={<Trash2 size={15} />}
                disabled={used.has(sheet.id) || design.materials.length === 1}
                onClick={() =>
                  dispatch(
                    editDesign((current) => ({
                      ...current,
                      materials: current.materials.filter(({ id }) => id !== sheet.id),
                    })),
                  )
                }
              />
            </div>
            {open === sheet.id && <SheetFields sheet={sheet} />}
          </li>
        ))}
      </ul>
    </Section>
  );
}

const sizeOf = ({ sheetLength, sheetWidth }: Material) => `${sheetLength}x${sheetWidth}`;

function SheetFields({ sheet }: { readonly sheet: Material }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const squareMetres = squareMetresFromSquareMillimetres(sheet.sheetLength * sheet.sheetWidth);
  return (
    <div className="mt-1 grid grid-cols-3 gap-x-2 gap-y-1.5">
      <div className="col-span-2">
        <TextField
          label="Name of the board"
          value={sheet.name || sheet.id}
          onCommit={set(field('materials', sheet.id, 'name'))}
        />
      </div>
      <QuantityField
        label="Thickness"
        kind="length"
        value={sheet.thickness}
        onCommit={set(field('materials', sheet.id, 'thickness'))}
      />
      <div className="col-span-3">
        <SelectField
          label="Sheets are sold as"
          value={sizeOf(sheet)}
          options={[
            ...SHEET_SIZES.map(
              ([length, width]) =>
                [`${length}x${width}`, `${width} × ${length} mm${length < 800 ? ' (20 × 30 in)' : ''}`] as const,
            ),
            ...(SHEET_SIZES.some(([length, width]) => sizeOf(sheet) === `${length}x${width}`)
              ? []
              : [[sizeOf(sheet), 'as typed'] as const]),
          ]}
          onChange={(size) => {
            const [length, width] = size.split('x').map(Number) as [number, number];
            dispatch(
              setFields([
                field('materials', sheet.id, 'sheetLength').to(length),
                field('materials', sheet.id, 'sheetWidth').to(width),
              ]),
            );
          }}
        />
      </div>
      <QuantityField
        label="Sheet length"
        kind="length"
        value={sheet.sheetLength}
        onCommit={set(field('materials', sheet.id, 'sheetLength'))}
      />
      <QuantityField
        label="Sheet width"
        kind="length"
        value={sheet.sheetWidth}
        onCommit={set(field('materials', sheet.id, 'sheetWidth'))}
      />
      <QuantityField
        label="g/m²"
        kind="number"
        step={10}
        value={sheet.arealDensity}
        onCommit={set(field('materials', sheet.id, 'arealDensity'))}
      />
      <QuantityField
        label="My sheet weighs"
        kind="mass"
        value={sheet.arealDensity * squareMetres}
        onCommit={(grams) => set(field('materials', sheet.id, 'arealDensity'))(grams / squareMetres)}
      />
      <div className="col-span-2">
        <SelectField
          label="Paper"
          value={sheet.faces}
          options={FACES}
          onChange={(faces) =>
            dispatch(
              setFields([
                field('materials', sheet.id, 'faces').to(faces),
                // Paper that is peeled off weighs nothing any more.
                field('materials', sheet.id, 'arealDensity').to(
                  Math.max(1, sheet.arealDensity + (PAPERS[faces] - PAPERS[sheet.faces]) * sheet.faceDensity),
                ),
              ]),
            )
          }
        />
      </div>
      <QuantityField
        label="One paper, g/m²"
        kind="number"
        step={5}
        value={sheet.faceDensity}
        onCommit={set(field('materials', sheet.id, 'faceDensity'))}
      />
      <div className="col-span-3">
        <SelectField
          label="Within"
          value={sheet.core}
          options={CORES}
          onChange={set(field('materials', sheet.id, 'core'))}
        />
      </div>
      <BoardTests sheet={sheet} />
    </div>
  );
}
