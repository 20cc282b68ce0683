import { useState } from 'react';
import type { Surface } from '@/core/2-document/schema/surface';
import { withTipShape } from '@/core/3-shape/planform/panels';
import { type SweepForm, sweepOf, tipOffsetFor, withTaper, withTipOffset } from '@/core/3-shape/planform/sweep';
import { useAppDispatch } from '@/store/hooks';
import { editSurface } from '@/store/surfaces';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const FORMS: readonly (readonly [SweepForm, string])[] = [
  ['leadingAngle', 'leading edge'],
  ['quarterAngle', 'quarter chord'],
  ['tipOffset', 'tip, aft of root'],
  ['noseAngle', 'angle at the nose'],
];

const LIMIT = 5000;

/** Taper, sweep in the form the designer thinks in, and the shape of the tip. */
export function PlanformFields({ surface }: { readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const [form, setForm] = useState<SweepForm>('leadingAngle');
  const root = surface.stations[0]!;
  const tip = surface.stations.at(-1)!;
  return (
    <Section title="Planform">
      <div className="grid grid-cols-[72px_1fr_92px] items-end gap-x-2">
        <QuantityField
          label="Taper"
          kind="number"
          digits={2}
          step={0.05}
          value={tip.chord / root.chord}
          onCommit={(taper) =>
            taper > 0.02 && taper <= 3
              ? dispatch(editSurface(surface.id, (current) => withTaper(current, taper)))
              : { path: '', message: 'must lie between 0.02 and 3: tip chord over root chord' }
          }
        />
        <SelectField label="Sweep of the" value={form} options={FORMS} onChange={setForm} />
        <QuantityField
          hideLabel
          label={`Sweep, ${FORMS.find(([id]) => id === form)![1]}`}
          kind={form === 'tipOffset' ? 'length' : 'angle'}
          value={sweepOf(surface)[form]}
          onCommit={(value) => {
            const offset = tipOffsetFor(surface, form, value);
            return Math.abs(offset) <= LIMIT
              ? dispatch(editSurface(surface.id, (current) => withTipOffset(current, offset)))
              : { path: '', message: 'would put the tip more than five metres away' };
          }}
        />
      </div>
      <div className="mt-1.5 flex items-center gap-1.5">
        <span className="text-label text-faint">Tip</span>
        <Button onClick={() => dispatch(editSurface(surface.id, (current) => withTipShape(current, 'rounded')))}>
          Round it
        </Button>
        <Button onClick={() => dispatch(editSurface(surface.id, (current) => withTipShape(current, 'raked')))}>
          Rake it
        </Button>
      </div>
    </Section>
  );
}
