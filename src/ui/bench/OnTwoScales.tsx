import { useState } from 'react';
import { toast } from 'sonner';
import { nanoid } from '@reduxjs/toolkit';
import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { balanceOnStand, packMove } from '@/core/8-bench/balanceStand';
import { standAt } from '@/core/8-bench/rehearsal/hiddenAirframe';
import { keepReading } from '@/store/bench';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { formatLength, formatMass } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';
import { SteadyReading } from './SteadyReading';

/** Nearer than that two scales do not tell it [mm]. */
const SAME = 1;

/** Balance measured on two scales, against what was computed, and where the pack has to go. */
export function OnTwoScales({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const mass = useAppSelector((state) => state.analysis.current?.mass);
  const kept = useRecords('benchReadings').filter(({ what }) => what === 'balance');
  const [usualFront, usualRear] = standAt(design);
  const [places, setPlaces] = useState<{ front?: number; rear?: number }>({});
  const [read, setRead] = useState<{ front?: number; rear?: number }>({});
  const supports = { front: places.front ?? Math.round(usualFront), rear: places.rear ?? Math.round(usualRear) };
  const found =
    read.front === undefined || read.rear === undefined
      ? null
      : balanceOnStand(supports, { front: read.front, rear: read.rear });
  const computed = mass?.cg ? millimetresFromMetres(mass.cg[0]) : null;
  const total = mass?.total ? gramsFromKilograms(mass.total) : null;
  const take =
    (set: typeof setPlaces, key: 'front' | 'rear') =>
    (value: number): null => {
      set((now) => ({ ...now, [key]: value }));
      return null;
    };
  const move = found && computed !== null ? packMove(design, found, computed) : null;
  const keep = async () => {
    if (!found) return;
    const because = await dispatch(
      keepReading({
        id: `balance-${nanoid(8)}`,
        what: 'balance',
        value: Math.round(10 * found.at) / 10,
        plusMinus: SAME,
        notes: `On two scales: ${Math.round(found.mass)} g in all.`,
      }),
    );
    toast(because ?? 'Kept with the design.');
  };
  return (
    <Section title="On two scales">
      <div className="grid grid-cols-2 gap-x-2 gap-y-1">
        <QuantityField
          label="Front support at"
          kind="length"
          value={supports.front}
          onCommit={take(setPlaces, 'front')}
        />
        <QuantityField label="Rear support at" kind="length" value={supports.rear} onCommit={take(setPlaces, 'rear')} />
        <QuantityField label="Front scale" kind="mass" value={read.front} onCommit={take(setRead, 'front')} />
        <QuantityField label="Rear scale" kind="mass" value={read.rear} onCommit={take(setRead, 'rear')} />
      </div>
      <SteadyReading
        kind="stand"
        label="Read the balance stand"
        on={{ stand: true }}
        onRead={([front, rear]) => {
          const [usual, behind] = standAt(design);
          setPlaces({ front: usual, rear: behind });
          setRead({ front: Math.round(front!), rear: Math.round(rear!) });
        }}
      />
      {read.front !== undefined && read.rear !== undefined && !found && (
        <p role="alert" className="mt-1 text-label text-stop">
          The rear support must lie behind the front one, and something must lie on the scales.
        </p>
      )}
      {found && (
        <div role="status" aria-label="Balance on two scales">
          <Fact label="It weighs">{formatMass(found.mass, units)}</Fact>
          {total !== null && (
            <Fact label="Computed">
              {formatMass(total, units)}, {formatMass(Math.abs(found.mass - total), units)}{' '}
              {found.mass >= total ? 'more' : 'less'}
            </Fact>
          )}
          <Fact label="It balances at">{formatLength(found.at, units)}</Fact>
          {computed !== null && (
            <p className="mt-1 text-label">
              {Math.abs(found.at - computed) < SAME
                ? 'That is where it was computed.'
                : `That is ${formatLength(Math.abs(found.at - computed), units)} ${found.at > computed ? 'behind' : 'ahead of'} where it was computed. `}
              {move && Math.abs(found.at - computed) >= SAME && (
                <strong className="font-semibold">
                  {`Slide ${move.name} ${formatLength(Math.abs(move.by), units)} ${move.by >= 0 ? 'back' : 'forward'}`}
                  {Math.abs(move.left) < SAME
                    ? ', and read again.'
                    : `: its bay ends there, and ${formatLength(Math.abs(move.left), units)} are left for ballast.`}
                </strong>
              )}
            </p>
          )}
          <Button className="mt-1" onClick={() => void keep()}>
            Keep this reading
          </Button>
        </div>
      )}
      {kept.length > 0 && (
        <p className="mt-1 text-label text-faint">
          Kept: {kept.map(({ value }) => formatLength(value, units)).join(', ')}
        </p>
      )}
    </Section>
  );
}
