/**
 * Chordwise places of vortices and control points and the slopes that the
 * boundary condition sees there.
 *
 * With N cells and θ from 0 at the nose to π at the trailing edge,
 * x = (1 − cos θ)/2, vortices stand at θ = (2k − 1)π/2N and control points at
 * θ = kπ/N, k = 1…N. In two dimensions this lattice returns lift and moment of
 * any camber line exactly, once the line's slope is given by its first N
 * cosine terms. Hinges therefore need not fall on cell edges, and steps or
 * kinks of a built section lose nothing.
 * Source: Lan, A Quasi-Vortex-Lattice Method in Thin Wing Theory, J. Aircraft 11 (1974).
 */
export interface ChordwiseCells {
  readonly count: number;
  /** Places of the vortices, fractions of the chord. */
  readonly vortex: Float64Array;
  /** Places of the control points, fractions of the chord. */
  readonly control: Float64Array;
  /** cos nθ of the control points, the terms of one point together. */
  readonly cosines: Float64Array;
}

export function chordwiseCells(count: number): ChordwiseCells {
  const place = (angle: number) => (1 - Math.cos(angle)) / 2;
  const vortex = new Float64Array(count);
  const control = new Float64Array(count);
  const cosines = new Float64Array(count * count);
  for (let k = 0; k < count; k++) {
    vortex[k] = place(((2 * k + 1) * Math.PI) / (2 * count));
    const angle = ((k + 1) * Math.PI) / count;
    control[k] = place(angle);
    for (let n = 0; n < count; n++) cosines[k * count + n] = Math.cos(n * angle);
  }
  return { count, vortex, control, cosines };
}

/** Cosine coefficients A₀…A_{N−1} of a slope dz/dx over the chord. */
export type SlopeSeries = Float64Array;

/** Series of a camber line given by heights: each stretch has a constant slope, integrated exactly. */
export function camberSlopeSeries(x: ArrayLike<number>, height: ArrayLike<number>, terms: number): SlopeSeries {
  const series = new Float64Array(terms);
  for (let index = 0; index + 1 < x.length; index++) {
    const width = x[index + 1]! - x[index]!;
    if (width <= 0) continue;
    addConstantSlope(series, (height[index + 1]! - height[index]!) / width, x[index]!, x[index + 1]!);
  }
  return series;
}

/** Series of a part behind the hinge turned trailing edge down by one radian. */
export function hingeSlopeSeries(hinge: number, terms: number): SlopeSeries {
  const series = new Float64Array(terms);
  addConstantSlope(series, -1, hinge, 1);
  return series;
}

function addConstantSlope(series: SlopeSeries, slope: number, from: number, to: number): void {
  const angle = (place: number) => Math.acos(Math.min(1, Math.max(-1, 1 - 2 * place)));
  const a = angle(from);
  const b = angle(to);
  series[0]! += (slope * (b - a)) / Math.PI;
  for (let n = 1; n < series.length; n++) {
    series[n]! += ((2 * slope) / (Math.PI * n)) * (Math.sin(n * b) - Math.sin(n * a));
  }
}

/** Value of a series at a control point. */
export function slopeAt({ count, cosines }: ChordwiseCells, series: SlopeSeries, point: number): number {
  let sum = 0;
  for (let n = 0; n < count; n++) sum += series[n]! * cosines[point * count + n]!;
  return sum;
}
