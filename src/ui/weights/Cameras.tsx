import { useMemo } from 'react';
import { field } from '@/core/2-document/edit/field';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { inView } from '@/core/3-shape/outline/cameraView';
import { formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { CheckField } from '../fields/CheckField';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Section } from '../numbers/Section';

/** A lens as most small cameras have it, looking ahead. */
const USUAL = { fieldOfView: 90, towards: 0, down: 0 } as const;

const mayLook = ({ category, view }: MassItem) => category === 'payload' || view !== undefined;

/** What cameras see: the cone of each, and what of the airframe stands in its picture. */
export function Cameras({ design }: { readonly design: Design }) {
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const cameras = design.massItems.filter(mayLook);
  if (cameras.length === 0) return null;
  return (
    <Section title="What cameras see">
      <ul className="space-y-2">
        {cameras.map((item) => (
          <li key={item.id}>
            <Camera design={design} placed={placed} item={item} />
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface CameraProps {
  readonly design: Design;
  readonly placed: readonly PlacedSurface[];
  readonly item: MassItem;
}

function Camera({ design, placed, item }: CameraProps) {
  const set = useSet();
  const units = useAppSelector((state) => state.settings.units);
  const { view } = item;
  const name = item.name || item.id;
  const seen = useMemo(() => inView(design, placed, item), [design, placed, item]);
  const of = ['massItems', item.id, 'view'] as const;
  return (
    <>
      <CheckField checked={view !== undefined} onChange={(checked) => set(field(...of))(checked ? USUAL : undefined)}>
        {name} looks out
      </CheckField>
      {view && (
        <>
          <div className="grid grid-cols-3 gap-x-2">
            <QuantityField
              label="Field of view"
              kind="angle"
              value={view.fieldOfView}
              onCommit={set(field(...of, 'fieldOfView'))}
            />
            <QuantityField
              label="To the right by"
              kind="angle"
              value={view.towards}
              onCommit={set(field(...of, 'towards'))}
            />
            <QuantityField label="Down by" kind="angle" value={view.down} onCommit={set(field(...of, 'down'))} />
          </div>
          <p className="mt-1 text-label" data-testid={`seen-${item.id}`}>
            {seen.length === 0
              ? 'Nothing of the airframe stands in its picture.'
              : `In its picture: ${seen.map((part) => `${part.name} (${formatLength(part.distance, units, 0)} away)`).join(', ')}.`}
          </p>
        </>
      )}
    </>
  );
}
