import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { misfits } from '@/core/4-weight/boxFit';
import { formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';

/** Whether the boxes of the equipment fit into the bodies they lie in. */
export function RoomInside({ design }: { readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const found = useMemo(() => misfits(design), [design]);
  return (
    <Section title="Room inside">
      {found.length === 0 ? (
        <p className="text-label text-faint">What lies in a body and has a size fits between its walls.</p>
      ) : (
        <ul className="space-y-1 text-read">
          {found.map(({ item, body, way, by, at }) => (
            <li key={`${item.id}-${way}`} className="text-caution" data-misfit={item.id}>
              {item.name || item.id} {formatLength(by, units)} too {way} for {(body.name || body.id).toLowerCase()}, at{' '}
              {formatLength(at, units, 0)} aft of the datum.
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
