import { CheckField } from '../fields/CheckField';
import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Body } from '@/core/2-document/schema/airframe';
import { QuantityField } from '../fields/QuantityField';
import { shownTimes, useSet } from '../fields/useSet';
import { Button, IconButton } from '../shell/buttons';
import { FasteningFields } from './FasteningFields';

type Construction = NonNullable<Body['construction']>;
type Doubler = Construction['doublers'][number];
type Truss = NonNullable<Construction['truss']>;

/** Sticks of 3 by 3 mm pine, a bay as long as the sides are high, thin film. */
const USUAL_TRUSS = { stickDensity: 5, bay: 60, diagonals: true, filmDensity: 40 } as Truss;

/** How a body is built: layers of board with doublers, or sticks under film; glue and cover. */
export function BodyBuild({ body, construction }: { readonly body: Body; readonly construction: Construction }) {
  const set = useSet();
  const of = ['bodies', body.id, 'construction'] as const;
  const { truss, doublers } = construction;
  return (
    <div className="mt-1 grid grid-cols-2 gap-x-2 gap-y-1">
      <CheckField
        className="col-span-2"
        checked={truss !== undefined}
        onChange={(checked) => set(field(...of, 'truss'))(checked ? USUAL_TRUSS : undefined)}
      >
        sticks under film in place of board
      </CheckField>
      {truss ? (
        <>
          <QuantityField
            label="Sticks, g/m"
            kind="number"
            step={1}
            value={truss.stickDensity}
            onCommit={set(field(...of, 'truss', 'stickDensity'))}
          />
          <QuantityField
            label="Upright to upright"
            kind="length"
            value={truss.bay}
            onCommit={set(field(...of, 'truss', 'bay'))}
          />
          <QuantityField
            label="Film, g/m²"
            kind="number"
            step={5}
            value={truss.filmDensity}
            onCommit={set(field(...of, 'truss', 'filmDensity'))}
          />
          <CheckField
            className="pb-1 self-end"
            checked={truss.diagonals}
            onChange={(checked) => set(field(...of, 'truss', 'diagonals'))(checked)}
          >
            braced bays
          </CheckField>
        </>
      ) : (
        <>
          <QuantityField
            label="Layers of board"
            kind="number"
            step={1}
            value={construction.layers}
            onCommit={set(field(...of, 'layers'))}
          />
          {construction.countedBy === 'skin' && (
            <QuantityField
              label="Formers and tabs"
              kind="percent"
              value={100 * construction.extraFraction}
              onCommit={shownTimes(100, set(field(...of, 'extraFraction')))}
            />
          )}
          {body.kind !== 'round' && (
            <CheckField
              className="col-span-2"
              checked={construction.countedBy === 'parts'}
              onChange={(checked) => set(field(...of, 'countedBy'))(checked ? 'parts' : 'skin')}
            >
              weighed part by part, as its plans are cut
            </CheckField>
          )}
          {doublers.map((doubler, index) => (
            <DoublerRow
              key={index}
              doubler={doubler}
              name={`Doubler ${index + 1}`}
              onChange={(next) => set(field(...of, 'doublers'))(doublers.with(index, next))}
              onRemove={() => set(field(...of, 'doublers'))(doublers.toSpliced(index, 1))}
            />
          ))}
          <Button
            look="quiet"
            onClick={() =>
              set(field(...of, 'doublers'))([
                ...doublers,
                { from: body.frames[0]!.x, to: body.frames[1]!.x, layers: 1 } as Doubler,
              ])
            }
          >
            <Plus size={14} aria-hidden="true" /> Doubler
          </Button>
          <span />
        </>
      )}
      <FasteningFields list="bodies" part={body.id} construction={construction} />
    </div>
  );
}

interface DoublerRowProps {
  readonly doubler: Doubler;
  readonly name: string;
  readonly onChange: (doubler: Doubler) => ReturnType<ReturnType<ReturnType<typeof useSet>>>;
  readonly onRemove: () => void;
}

/** A stretch where both walls are doubled. */
function DoublerRow({ doubler, name, onChange, onRemove }: DoublerRowProps) {
  const part = (key: keyof Doubler, label: string, kind: 'length' | 'number') => (
    <QuantityField
      label={`${name}, ${label}`}
      kind={kind}
      step={1}
      value={doubler[key]}
      onCommit={(value) => onChange({ ...doubler, [key]: value })}
    />
  );
  return (
    <div className="col-span-2 grid grid-cols-[1fr_1fr_1fr_28px] items-end gap-1">
      {part('from', 'from', 'length')}
      {part('to', 'to', 'length')}
      {part('layers', 'layers', 'number')}
      <IconButton
        label={`Take ${name.toLowerCase()} out`}
        className="!size-7"
        icon={<Trash2 size={14} />}
        onClick={onRemove}
      />
    </div>
  );
}
