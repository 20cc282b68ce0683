import { metresFromMillimetres, radiansFromDegrees, type Millimetres, type Degrees } from '@/core/1-base/units/convert';
import type { Propeller } from './blade';

interface Station {
  readonly share: number;
  readonly chord: Millimetres;
  readonly angle: Degrees;
}

/** A propeller as its blade was measured, from the hub outwards. */
export const ownPropeller = (diameter: number, blades: number, stations: readonly Station[]): Propeller => ({
  diameter,
  blades,
  places: stations.map(({ share, chord, angle }) => ({
    share,
    chord: metresFromMillimetres(chord),
    angle: radiansFromDegrees(angle),
  })),
});
