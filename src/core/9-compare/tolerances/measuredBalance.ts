import { type Metres, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import { HAND_SPREADS } from '@/core/8-field/handSpreads';

type BenchReading = RecordOf<'benchReadings'>;

/** Where the finished aircraft was found to balance, against where it is drawn to. */
export interface MeasuredBalance {
  /** Aft of where it is drawn. */
  readonly mean: Metres;
  /** ±1σ of the reading. */
  readonly sigma: Metres;
}

/** Two scales tell it so far, where a reading does not say [mm]; a band is twice the spread. */
const USUAL_BAND = 1;
/** A reading within so many spreads of a hand is one of this drawing. */
const NEAR = 3;

/**
 * The last balance point that was read of this revision. One that lies further
 * off than hands come is one of another loading, or the drawing is wrong: it
 * does not count, and the words say so. Null where none was read.
 */
export function measuredBalance(
  { basedOn }: Design,
  readings: readonly BenchReading[],
  drawn: Metres,
): MeasuredBalance | { readonly because: string } | null {
  const [last] = readings
    .filter(({ what, revision }) => what === 'balance' && revision === basedOn)
    .toSorted((a, b) => (a.at < b.at ? 1 : -1));
  if (!last) return null;
  const off = last.value - millimetresFromMetres(drawn);
  if (Math.abs(off) > NEAR * HAND_SPREADS.balance)
    return {
      because: `The balance point that was read last lies further ${off > 0 ? 'behind' : 'ahead of'} the drawn one than hands are off: it does not count. Weigh the parts or move the pack, and read it again.`,
    };
  return {
    mean: metresFromMillimetres(off),
    sigma: metresFromMillimetres((last.plusMinus ?? USUAL_BAND) / 2),
  };
}
