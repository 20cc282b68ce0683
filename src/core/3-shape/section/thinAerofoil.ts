/**
 * Thin-aerofoil theory of a camber line z(x), both as fractions of the chord.
 *
 *   x = (1 − cos θ)/2,  dz/dx = A₀' + ΣAₙ cos nθ
 *   α₀    = −(1/π) ∫₀^π (dz/dx)(cos θ − 1) dθ      zero-lift angle [rad]
 *   c_m¼  = −(π/4)(A₁ − A₂),  Aₙ = (2/π)∫ (dz/dx) cos nθ dθ
 *   c_lα  = 2π
 *
 * Integrated by parts, so that only heights are used and steps or kinks do no
 * harm: ∫ (dz/dx) f(θ) dθ over a cell of constant slope is taken exactly.
 * Valid for thin, slightly cambered sections below stall.
 * Source: Glauert, The Elements of Aerofoil and Airscrew Theory, 1926, ch. VII.
 */
export interface ThinAerofoil {
  readonly zeroLiftAngle: number;
  /** Moment about the quarter chord, nose-up positive. */
  readonly quarterChordMoment: number;
  /** Lift coefficient at which the flow meets the nose smoothly. */
  readonly idealLift: number;
}

export function thinAerofoil(x: ArrayLike<number>, camber: ArrayLike<number>): ThinAerofoil {
  const angle = (place: number) => Math.acos(Math.min(1, Math.max(-1, 1 - 2 * place)));
  let sum0 = 0;
  let sum1 = 0;
  let sum2 = 0;
  for (let index = 0; index + 1 < x.length; index++) {
    const width = x[index + 1]! - x[index]!;
    if (width <= 0) continue;
    const slope = (camber[index + 1]! - camber[index]!) / width;
    const from = angle(x[index]!);
    const to = angle(x[index + 1]!);
    sum0 += slope * (to - from);
    sum1 += slope * (Math.sin(to) - Math.sin(from));
    sum2 += (slope * (Math.sin(2 * to) - Math.sin(2 * from))) / 2;
  }
  const first = (2 / Math.PI) * sum1;
  const second = (2 / Math.PI) * sum2;
  return {
    zeroLiftAngle: (sum0 - sum1) / Math.PI,
    quarterChordMoment: -(Math.PI / 4) * (first - second),
    idealLift: Math.PI * first,
  };
}
