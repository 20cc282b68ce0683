import type { Kilograms, Metres, MetresPerSecond, Seconds } from '@/core/1-base/units/convert';

/** What a dynamically alike small one is, and what its board makes of it. */
export interface Small {
  readonly mass: number;
  readonly boardMass: number;
  readonly ballast: number;
  readonly span: Metres;
  readonly speedRatio: number;
  readonly reynoldsRatio: number;
  readonly inertiaRatio: number;
}

/**
 * Similarity at equal lift and Froude number: mass λ³, speed and time √λ,
 * inertia λ⁵, Reynolds number λ^1.5. Cut of the same board it weighs λ² of the
 * large one’s board; ballast at the balance point makes up the mass where that
 * is less, not the inertia. [exact] @param boardMass of everything that is cut [kg]
 */
export function similar(
  { mass, span, boardMass }: { readonly mass: number; readonly span: Metres; readonly boardMass: number },
  scale: number,
): Small {
  const [wanted, board] = [mass * scale ** 3, boardMass * scale ** 2];
  return {
    mass: wanted,
    boardMass: board,
    ballast: wanted - board,
    span: span * scale,
    speedRatio: Math.sqrt(scale),
    reynoldsRatio: scale ** 1.5,
    inertiaRatio: scale ** 5,
  };
}

/** What of a tossed small one was measured: its own kilograms, metres, metres a second, seconds. */
export interface Measured {
  readonly mass?: Kilograms | undefined;
  /** Aft of the datum. */
  readonly balance?: Metres | undefined;
  readonly launchSpeed?: MetresPerSecond | undefined;
  readonly distance?: Metres | undefined;
  readonly time?: Seconds | undefined;
}

/** The same enlarged to the full size, alike in lift and Froude number: lengths by 1/λ, masses by 1/λ³, speeds and times by 1/√λ. [exact] */
export function enlarged({ mass, balance, launchSpeed, distance, time }: Measured, scale: number): Measured {
  const by = (value: number | undefined, power: number) => (value === undefined ? undefined : value / scale ** power);
  return {
    mass: by(mass, 3),
    balance: by(balance, 1),
    launchSpeed: by(launchSpeed, 0.5),
    distance: by(distance, 1),
    time: by(time, 0.5),
  };
}
