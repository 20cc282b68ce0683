import { useState } from 'react';
import { zeroByReversal } from '@/core/8-bench/reversal';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { meterZeroed } from '@/store/settingsSlice';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Button } from '../shell/buttons';

/** Farther off level no meter is: it lay on another face [°]. */
const MOST = 20;

/** The zero of the own tilt meter, told by turning it round; it is taken off every reading at a gate. */
export function MeterZero() {
  const dispatch = useAppDispatch();
  const zero = useAppSelector((state) => state.settings.meterZero);
  const [forward, setForward] = useState<number | undefined>();
  const [turned, setTurned] = useState<number | undefined>();
  const take = (next: { forward?: number | undefined; turned?: number | undefined }) => {
    const [one, other] = [next.forward ?? forward, next.turned ?? turned];
    if (one === undefined || other === undefined) return null;
    const found = Math.round(100 * zeroByReversal({ forward: one, turned: other })) / 100;
    if (Math.abs(found) > MOST)
      return { path: '', message: `gives a zero of ${decimal(found, 1)}°: the meter lay on another face` };
    dispatch(meterZeroed(found));
    return null;
  };
  return (
    <div className="mt-2 text-read">
      <div className="grid max-w-md grid-cols-2 gap-x-2">
        <QuantityField
          label="Tilt meter on any face"
          kind="angle"
          step={0.1}
          digits={2}
          value={forward}
          placeholder="–"
          onCommit={(value) => {
            setForward(value);
            return take({ forward: value });
          }}
          onClear={() => {
            setForward(undefined);
            return null;
          }}
        />
        <QuantityField
          label="The same, turned end for end"
          kind="angle"
          step={0.1}
          digits={2}
          value={turned}
          placeholder="–"
          onCommit={(value) => {
            setTurned(value);
            return take({ turned: value });
          }}
          onClear={() => {
            setTurned(undefined);
            return null;
          }}
        />
      </div>
      <p
        className="mt-0.5 flex flex-wrap items-center gap-x-2 text-label text-faint"
        role="status"
        aria-label="Zero of the meter"
      >
        {zero === 0 ? (
          'Readings are taken as they are: read one face twice, turned end for end, to know what the meter shows when level.'
        ) : (
          <>
            It shows {decimal(zero, 2)}° when level; that is taken off every reading.
            <Button
              look="quiet"
              onClick={() => {
                setForward(undefined);
                setTurned(undefined);
                dispatch(meterZeroed(0));
              }}
            >
              Take readings as they are
            </Button>
          </>
        )}
      </p>
    </div>
  );
}
