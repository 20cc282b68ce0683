import { isWing } from '@/core/2-document/schema/roles';
import { metresFromMillimetres } from '@/core/1-base/units/convert';
import { Lock, LockOpen } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { wingSizesOf, type WingSize } from '@/core/8-sizing/planform/resize';
import { panelsTooLong, spanFromSheets } from '@/core/3-shape/planform/sheets';
import { formatLength } from '@/words/formatQuantity';
import type { QuantityKind } from '@/words/parseQuantity';
import { resizeWing } from '@/store/surfaces';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { lockToggled } from '@/store/sessionSlice';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';

/** Size, its words, how it is typed, and what one SI unit is in the typed one. */
const SIZES: readonly (readonly [WingSize, string, QuantityKind, number])[] = [
  ['span', 'Span, projected', 'length', 1000],
  ['area', 'Area (dm²)', 'number', 100],
  ['aspectRatio', 'Aspect ratio', 'number', 1],
  ['loading', 'Loading (g/dm²)', 'number', 10],
];

const STEP: Partial<Record<WingSize, number>> = { area: 0.5, aspectRatio: 0.1, loading: 0.5 };

/** Span, area, aspect ratio and loading of all wings: type one, lock another, the rest follows. */
export function WingSizeFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const locked = useAppSelector((state) => state.session.locked);
  // Weighing it anew takes longer than drawing it: in a drag it weighs what it did at the last answer.
  const known = useAppSelector(({ session, analysis }) =>
    session.dragging ? (analysis.current?.mass.total ?? null) : null,
  );
  const sizes = useMemo(() => wingSizesOf(design, known), [design, known]);
  return (
    <Section title="Size">
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        {SIZES.map(([size, label, kind, factor]) => {
          const value = sizes[size];
          const isLocked = locked.includes(size);
          return (
            <div key={size} className="flex items-end gap-0.5">
              <div className="min-w-0 flex-1">
                <QuantityField
                  label={label}
                  kind={kind}
                  digits={kind === 'number' ? 2 : undefined}
                  step={STEP[size]}
                  value={value === null ? undefined : value * factor}
                  placeholder="no weights"
                  onCommit={(next) => dispatch(resizeWing(size, next / factor))}
                />
              </div>
              <IconButton
                label={`${isLocked ? 'Unlock' : 'Lock'} ${label.replace(/,? \(.*|, .*/, '').toLowerCase()}`}
                icon={isLocked ? <Lock size={14} /> : <LockOpen size={14} className="text-faint" />}
                aria-pressed={isLocked}
                className="!size-7"
                onClick={() => dispatch(lockToggled(size))}
              />
            </div>
          );
        })}
      </div>
      <SpanBySheets design={design} />
      <TooLong design={design} />
    </Section>
  );
}

/** Span as so many sheet sides. */
function SpanBySheets({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const [count, setCount] = useState('2');
  const sides = [...new Set(design.materials.flatMap(({ sheetLength, sheetWidth }) => [sheetLength, sheetWidth]))];
  const [side, setSide] = useState('');
  if (sides.length === 0) return null;
  const chosen = sides.includes(Number(side)) ? Number(side) : Math.min(...sides);
  return (
    <div className="mt-1.5 grid grid-cols-[64px_1fr_auto] items-end gap-1.5">
      <SelectField
        label="Sheets"
        value={count}
        options={['1', '1.5', '2', '3', '4'].map((number) => [number, number] as const)}
        onChange={setCount}
      />
      <SelectField
        label="of side"
        value={String(chosen)}
        options={sides.map((length) => [String(length), formatLength(length, units)] as const)}
        onChange={setSide}
      />
      <Button
        onClick={() => dispatch(resizeWing('span', metresFromMillimetres(spanFromSheets(chosen, Number(count)))))}
      >
        Span {formatLength(spanFromSheets(chosen, Number(count)), units, 0)}
      </Button>
    </div>
  );
}

function TooLong({ design }: { readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  return panelsTooLong(design)
    .filter(({ panel }) => design.surfaces.some((surface) => surface.id === panel.surface && isWing(surface)))
    .map(({ panel, limit, because }) => (
      <p
        key={`${panel.surface}${panel.from}`}
        className="mt-1.5 border-l-4 border-caution bg-caution-soft p-1.5 text-label"
      >
        A panel of {formatLength(panel.length, units, 0)} is longer than{' '}
        {because === 'sheet'
          ? `the sheet of ${formatLength(limit, units, 0)}`
          : `the ${formatLength(limit, units, 0)} that can be carried`}
        : join it with a station that bends, or make it shorter.
      </p>
    ));
}
