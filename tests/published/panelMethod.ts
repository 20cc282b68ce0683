/**
 * Flow without friction round a section with thickness: vorticity that is
 * linear along panels, the stream function the same on all nodes, and a base
 * of finite height closed by a source and a vortex sheet across it. Reference
 * for what the core makes of camber lines; no part of the product.
 * Source: Drela, XFOIL: An Analysis and Design System for Low Reynolds Number
 * Airfoils, 1989, section 2 (inviscid formulation).
 */
export interface PanelResult {
  /** Angle of the chord line without lift [rad]. */
  readonly zeroLiftAngle: number;
  /** Moment about the quarter chord without lift, nose-up positive. */
  readonly zeroLiftMoment: number;
  /** dc_l/dα at zero lift [1/rad]. */
  readonly liftSlope: number;
}

const zeros = (count: number): number[] => Array.from({ length: count }, () => 0);

type Point = readonly [x: number, y: number];

/** Elimination with row exchange; the reference has to share nothing with the core. */
function solve(matrix: number[][], right: number[][]): number[][] {
  const size = matrix.length;
  for (let k = 0; k < size; k++) {
    let pivot = k;
    for (let i = k + 1; i < size; i++) if (Math.abs(matrix[i]![k]!) > Math.abs(matrix[pivot]![k]!)) pivot = i;
    [matrix[k], matrix[pivot]] = [matrix[pivot]!, matrix[k]!];
    for (const one of right) [one[k], one[pivot]] = [one[pivot]!, one[k]!];
    for (let i = k + 1; i < size; i++) {
      const factor = matrix[i]![k]! / matrix[k]![k]!;
      if (factor === 0) continue;
      for (let j = k; j < size; j++) matrix[i]![j]! -= factor * matrix[k]![j]!;
      for (const one of right) one[i]! -= factor * one[k]!;
    }
  }
  return right.map((one) => {
    const x = zeros(size);
    for (let i = size - 1; i >= 0; i--) {
      let sum = one[i]!;
      for (let j = i + 1; j < size; j++) sum -= matrix[i]![j]! * x[j]!;
      x[i] = sum / matrix[i]![i]!;
    }
    return x;
  });
}

/** Stream function at a point of a panel: of half the sum and half the difference of its end vorticities, and of a source. */
function panelAt([x, y]: Point, [x1, y1]: Point, [x2, y2]: Point) {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [tx, ty] = [(x2 - x1) / length, (y2 - y1) / length];
  const a = (x - x1) * tx + (y - y1) * ty;
  const b = a - length;
  const h = (y - y1) * tx - (x - x1) * ty;
  const [r1, r2] = [a * a + h * h, b * b + h * h];
  const on = (r: number, value: number) => (r < 1e-18 ? 0 : value);
  const [l1, l2] = [on(r1, Math.log(r1)), on(r2, Math.log(r2))];
  const side = h >= 0 ? 1 : -1;
  const [t1, t2] = [on(r1, Math.atan2(side * a, side * h)), on(r2, Math.atan2(side * b, side * h))];
  // The convention of the source: angles count from the normal of the panel.
  const sum = 0.5 * a * l1 - 0.5 * b * l2 + b - a + h * (t1 - t2);
  const difference = ((a + b) * sum + 0.5 * (r2 * l2 - r1 * l1 + a * a - b * b)) / (a - b);
  const apex1 = t1 - side * (Math.PI / 2);
  const apex2 = t2 - side * (Math.PI / 2);
  const source = -(a * apex1 - b * apex2) + 0.5 * h * (l1 - l2);
  return { sum, difference, source };
}

/** @param points round the section from the trailing edge over the upper side to the nose and back below, fractions of the chord */
export function panelMethod(points: readonly Point[]): PanelResult {
  const count = points.length;
  const size = count + 1;
  const matrix = Array.from({ length: size }, () => zeros(size));
  const right = [zeros(size), zeros(size)];
  const [first, last] = [points[0]!, points.at(-1)!];
  const gap = Math.hypot(first[0] - last[0], first[1] - last[1]);
  // Bisector of the trailing edge, and how the gap stands to it.
  const unit = ([ax, ay]: Point, [bx, by]: Point) => {
    const length = Math.hypot(ax - bx, ay - by);
    return [(ax - bx) / length, (ay - by) / length] as const;
  };
  const up = unit(points[0]!, points[1]!);
  const low = unit(points.at(-1)!, points.at(-2)!);
  const bisector = unit([up[0] + low[0], up[1] + low[1]], [0, 0]);
  const across = gap > 1e-9 ? unit(first, last) : ([0, 0] as const);
  const sine = Math.abs(bisector[0] * across[1] - bisector[1] * across[0]);
  const cosine = bisector[0] * across[0] + bisector[1] * across[1];
  points.forEach(([x, y], i) => {
    const row = matrix[i]!;
    for (let j = 0; j + 1 < count; j++) {
      const { sum, difference } = panelAt([x, y], points[j]!, points[j + 1]!);
      row[j]! += (sum - difference) / (4 * Math.PI);
      row[j + 1]! += (sum + difference) / (4 * Math.PI);
    }
    if (gap > 1e-9) {
      const { sum, source } = panelAt([x, y], last, first);
      const share = (0.5 * sine * source) / (2 * Math.PI) + (-0.5 * cosine * 2 * sum) / (4 * Math.PI);
      row[0]! += share;
      row[count - 1]! -= share;
    }
    row[count] = -1;
    right[0]![i] = -y;
    right[1]![i] = x;
  });
  // A closed edge: the vorticity at its two nodes goes on smoothly; the last row is the Kutta condition.
  if (gap <= 1e-9) {
    matrix[count - 1] = zeros(size);
    const row = matrix[count - 1]!;
    [row[0], row[1], row[2]] = [1, -2, 1];
    [row[count - 1], row[count - 2], row[count - 3]] = [-1, 2, -1];
    right[0]![count - 1] = right[1]![count - 1] = 0;
  }
  matrix[count]![0] = 1;
  matrix[count]![count - 1] = 1;
  const [level, upright] = solve(matrix, right);
  const loads = (alpha: number) => {
    const gamma = level!.map((value, i) => value * Math.cos(alpha) + upright![i]! * Math.sin(alpha));
    let [lift, moment] = [0, 0];
    const pressure = (i: number) => 1 - gamma[i]! ** 2;
    for (let i = 0; i < count; i++) {
      const [a, b] = [points[i]!, points[(i + 1) % count]!];
      const cp = (pressure(i) + pressure((i + 1) % count)) / 2;
      const dx = (b[0] - a[0]) * Math.cos(alpha) + (b[1] - a[1]) * Math.sin(alpha);
      const [mx, my] = [(a[0] + b[0]) / 2 - 0.25, (a[1] + b[1]) / 2];
      lift += cp * dx;
      moment -= cp * ((b[0] - a[0]) * mx + (b[1] - a[1]) * my);
    }
    return { lift, moment };
  };
  const step = 0.02;
  let alpha = 0;
  for (let turn = 0; turn < 20; turn++) {
    const here = loads(alpha).lift;
    alpha -= (here * step) / (loads(alpha + step).lift - here);
  }
  return {
    zeroLiftAngle: alpha,
    zeroLiftMoment: loads(alpha).moment,
    liftSlope: (loads(alpha + step).lift - loads(alpha - step).lift) / (2 * step),
  };
}
