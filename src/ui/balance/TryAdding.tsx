import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import { useEffect, useMemo, useState } from 'react';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { type MassItem, massItemSchema } from '@/core/2-document/schema/airframe';
import { EQUIPMENT } from '@/core/2-document/catalogue/library';
import { decimal, formatLength, formatMass } from '@/words/formatQuantity';
import { analyseVariant, editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const ADDED = EQUIPMENT.filter(
  ({ category }) => category === 'payload' || category === 'undercarriage' || category === 'ballast',
);

/** What a camera or an undercarriage would do, before it is there. */
export function TryAdding({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const now = useAppSelector((state) => state.analysis.current);
  const dragging = useAppSelector((state) => state.session.dragging);
  const [id, setId] = useState('');
  const [x, setX] = useState(0);
  const [found, setFound] = useState<{ readonly of: Design; readonly analysis: Analysis } | null>(null);
  const part = ADDED.find((entry) => entry.id === id);
  const changed = useMemo((): Design | null => {
    if (!part) return null;
    let item = part.id;
    for (let number = 2; design.massItems.some((other) => other.id === item); number++) item = `${part.id}${number}`;
    const added: MassItem = massItemSchema.parse({
      id: item,
      name: part.name,
      category: part.category,
      mass: part.mass,
      size: { ...part.size },
      position: { x, y: 0, z: part.category === 'undercarriage' ? -70 : 0 },
    });
    return { ...design, massItems: [...design.massItems, added] };
  }, [design, part, x]);

  useEffect(() => {
    const asking = new AbortController();
    if (changed && !dragging)
      void dispatch(analyseVariant(changed, asking)).then(
        (analysis) => analysis && !asking.signal.aborted && setFound({ of: changed, analysis }),
      );
    return () => asking.abort();
  }, [changed, dragging, dispatch]);

  const then = found && found.of === changed ? found.analysis : null;
  return (
    <Section title="What adding would do" isRare>
      <div className="grid grid-cols-[1.5fr_1fr] gap-x-2">
        <SelectField
          label="Put in"
          value={id}
          options={[
            ['', 'nothing yet'],
            ...ADDED.map((entry) => [entry.id, `${entry.name}, ${formatMass(entry.mass, units)}`] as const),
          ]}
          onChange={setId}
        />
        <QuantityField
          label="Aft of the datum"
          kind="length"
          value={x}
          onCommit={(value) => {
            if (Math.abs(value) > 10000) return { path: '', message: 'must lie within ten metres' };
            setX(value);
            return null;
          }}
        />
      </div>
      {part && then && now && then.mass.cg && now.mass.cg && (
        <div className="mt-1">
          <Fact label="Balance moves">
            {formatLength(millimetresFromMetres(Math.abs(then.mass.cg[0] - now.mass.cg[0])), units)}{' '}
            {then.mass.cg[0] < now.mass.cg[0] ? 'forward' : 'back'}
          </Fact>
          <Fact label="Static margin">
            {decimal((now.pitch.staticMargin ?? 0) * 100, 1)} → {decimal((then.pitch.staticMargin ?? 0) * 100, 1)} %
          </Fact>
          <Fact label="Weight">
            {formatMass(gramsFromKilograms(now.mass.total!), units)} →{' '}
            {formatMass(gramsFromKilograms(then.mass.total!), units)}
          </Fact>
          <Button
            className="mt-1"
            onClick={() => {
              dispatch(editDesign(() => changed!));
              setId('');
            }}
          >
            Put it in
          </Button>
        </div>
      )}
    </Section>
  );
}
