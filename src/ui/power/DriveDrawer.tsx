import { useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { drawerPriced } from '@/store/settingsSlice';
import { whereFlown } from '@/store/drives';
import { formatMass } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';

const TAKEN = null;

/** Motors, propellers and packs that the user has: what each costs, and which designs carry it now. */
export function DriveDrawer() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const drawer = useAppSelector((state) => state.settings.drawer);
  const [flown, setFlown] = useState<ReadonlyMap<string, readonly string[]>>(new Map());
  const parts = drawer.filter(({ motor, propeller, pack }) => motor ?? propeller ?? pack);
  const count = parts.length;
  useEffect(() => {
    let isGone = false;
    if (count > 0) void dispatch(whereFlown()).then((found) => !isGone && setFlown(found));
    return () => {
      isGone = true;
    };
  }, [dispatch, count]);
  return (
    <Section title="Drives in my drawer" isRare>
      {count === 0 && (
        <p className="text-label text-faint">
          Empty. Keep a motor, a propeller or a pack from the weights table: what is typed of its drive goes along.
        </p>
      )}
      <ul>
        {parts.map((entry) => {
          const where = flown.get(entry.name) ?? [];
          const setPrice = (price: number | undefined) => {
            dispatch(drawerPriced({ name: entry.name, price }));
            return TAKEN;
          };
          return (
            <li key={entry.name} className="flex items-center gap-2 border-b border-soft py-1 text-read">
              <span className="min-w-0 flex-1">
                <span className="block truncate">{entry.name}</span>
                <span className="block truncate text-label text-faint">
                  {formatMass(entry.mass, units, 1)}
                  {where.length === 0 ? ', in no design' : `, in ${where.join(', ')}`}
                </span>
              </span>
              <span className="w-20">
                <QuantityField
                  label={`Price of ${entry.name}`}
                  hideLabel
                  kind="number"
                  step={1}
                  placeholder="price"
                  value={entry.price}
                  onCommit={(price) => setPrice(Math.max(0, price))}
                  onClear={() => setPrice(undefined)}
                />
              </span>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
