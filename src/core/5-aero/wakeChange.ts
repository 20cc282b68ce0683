import type { Metres } from '@/core/1-base/units/convert';
import { type AskedLine, packedLines } from './askedLines';
import { kernelFor } from './kernel/inUse';
import { packedField } from './packedField';
import type { VortexField } from './vortexField';
import { wakeFrame } from './wakeFrame';
import { FOUR_PI_INVERSE, lookAcross, NEAR_WIDTHS, ON_LINE, sheet, sheetMean, type SightLine } from './wakeSheet';

/** Which way wakes turn: up with the angle of attack, or to the right. */
export const TURNINGS = ['up', 'right'] as const;
export type Turning = (typeof TURNINGS)[number];

/** Edges of a strip of vorticity are blurred by that share of how far behind its beginning they are seen: no wake is laid more exactly [rad]. */
const BLUR = 0.01;

/** Where `wakeChange` leaves u, v and w as the wake turns up, then as it turns right, so that the loop allocates nothing. */
export const change = new Float64Array(6);
/** Likewise what is across the wake: both parts, and their changes up and right. */
const across = new Float64Array(6);

/**
 * Change per unit tangent of the velocity that the half-line from the trailing
 * edge of one edge induces at unit circulation, as it turns up and as it turns
 * to the right. It goes along d = (c, 0, s), with e₁ to the right and e₂ = (−s,
 * 0, c): turned up d′ = c² e₂ and e₂′ = −c² d, turned right d′ = c e₁, e₁′ =
 * s e₂ − c d and e₂′ = −s e₁. Seen at a along e₁, h along e₂ and l along d, at
 * the distance r from where it begins, a line induces (−h e₁ + a e₂)/(4π r (r −
 * l)) (Biot–Savart), and all of that is differentiated.
 */
export function wakeChange(field: VortexField, edge: number, x: Metres, { y, z }: SightLine): void {
  const c = 1 / Math.hypot(1, field.rise);
  const s = field.rise * c;
  const a = y - field.edgeY[edge]!;
  const dz = z - field.edgeZ[edge]!;
  const tx = x - field.edgeTrailing[edge]!;
  const r = Math.sqrt(tx * tx + a * a + dz * dz);
  const l = tx * c + dz * s;
  const h = dz * c - tx * s;
  const square = a * a + h * h;
  const place: Place = { a, h, l, r, square, c, s };
  if (field.sight.edgeSpread[edge] && square < (NEAR_WIDTHS * field.sheetLength[edge]!) ** 2)
    stripAcross(field, edge, place);
  else lineAcross(place);
  const [w1, w2, up1, up2, right1, right2] = across as unknown as readonly [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const alongUp = -c * c * w2;
  change[0] = FOUR_PI_INVERSE * (alongUp * c - up2 * s);
  change[1] = FOUR_PI_INVERSE * up1;
  change[2] = FOUR_PI_INVERSE * (up2 * c + alongUp * s);
  const [e1, e2, along] = [right1 - s * w2, right2 + s * w1, -c * w1];
  change[3] = FOUR_PI_INVERSE * (along * c - e2 * s);
  change[4] = FOUR_PI_INVERSE * e1;
  change[5] = FOUR_PI_INVERSE * (e2 * c + along * s);
}

interface Place {
  readonly a: Metres;
  readonly h: Metres;
  readonly l: Metres;
  readonly r: Metres;
  /** a² + h². */
  readonly square: number;
  readonly c: number;
  readonly s: number;
}

function lineAcross({ a, h, l, r, square, c, s }: Place): void {
  across.fill(0);
  if (l > 0 && square < ON_LINE) return;
  // r − l, without the difference of two that are nearly alike.
  const less = l > 0 ? square / (r + l) : r - l;
  const g = 1 / (r * less);
  const perAlong = g / less;
  across[0] = -h * g;
  across[1] = a * g;
  const up = h * c * c;
  across[2] = l * c * c * g - h * perAlong * up;
  across[3] = a * perAlong * up;
  const right = a * c;
  across[4] = s * a * g - h * perAlong * right;
  across[5] = (s * h - c * l) * g + a * perAlong * right;
}

/**
 * As a strip of vorticity (`sheetMean`): F = w₂ + i w₁ = mean of 1/(ζ − p) over
 * the strip, which is analytic in ζ = a + i h, so that F′ says both changes.
 */
function stripAcross(field: VortexField, edge: number, { a, h, l, r, c, s }: Place): void {
  const [y, z] = [field.edgeY[edge]! + a, field.edgeZ[edge]! + h];
  sheetMean(field, edge, y, z);
  const [w1, w2] = [sheet[0]!, sheet[1]!];
  const length = field.sheetLength[edge]!;
  const [ty, tz] = [field.sheetTangentY[edge]!, field.sheetTangentZ[edge]!];
  const [py, pz] = [y - field.sheetY[edge]!, z - field.sheetZ[edge]!];
  const [from, off] = [py * ty + pz * tz, pz * ty - py * tz];
  const blur = (BLUR * r) ** 2;
  const near = 1 / (from * from + off * off + blur);
  const far = 1 / ((from - length) ** 2 + off * off + blur);
  const [real, imaginary] = [(from * near - (from - length) * far) / length, (-off * near + off * far) / length];
  const [turnReal, turnImaginary] = [ty * ty - tz * tz, -2 * ty * tz];
  const f2 = turnReal * real - turnImaginary * imaginary;
  const f1 = turnReal * imaginary + turnImaginary * real;
  const turn = (r + l) / r;
  across[0] = turn * w1;
  across[1] = turn * w2;
  const [upTurn, upH] = [(h * c * c) / r, -l * c * c];
  across[2] = upTurn * w1 + turn * f2 * upH;
  across[3] = upTurn * w2 - turn * f1 * upH;
  const [rightTurn, rightA, rightH] = [(a * c) / r, s * h - c * l, -s * a];
  across[4] = rightTurn * w1 + turn * (f1 * rightA + f2 * rightH);
  across[5] = rightTurn * w2 + turn * (f2 * rightA - f1 * rightH);
}

/**
 * Change of the velocity at the points of lines, and of their images in the
 * mirror, that wakes of these strengths, one to an edge, induce there per unit
 * tangent of a turn: for every line u, v and w as they turn up and as they turn
 * right, of two points side by side, pair by pair (`changedAt`), then as much
 * for its image. Wakes go straight back or up, not aside.
 */
export function wakesChanged(
  field: VortexField,
  [own, images]: readonly [Float64Array, Float64Array],
  lines: readonly AskedLine[],
): Float64Array {
  const { field: packed, spreads } = packedField(field);
  const packedUp = packedLines(lines, spreads.length);
  const seen = { ...packedUp, spreads };
  const kernel = kernelFor(field.lattice.panels);
  const changed = kernel.turnBoth?.(packed, wakeFrame(field).packed, [own, images], seen);
  if (changed) return changed;
  const each = numbersOfChange(packedUp.points);
  const sums = new Float64Array(2 * each * lines.length);
  lines.forEach((line, index) => {
    addChange(field, own, line, sums.subarray(2 * index * each, (2 * index + 1) * each));
    const image = { ...line, y: -line.y };
    addChange(field, images, image, sums.subarray((2 * index + 1) * each, 2 * (index + 1) * each));
  });
  return sums;
}

function addChange(field: VortexField, strengths: Float64Array, line: AskedLine, sums: Float64Array): void {
  lookAcross(field, line);
  for (let index = 0; index < line.xs.length; index++) {
    for (let edge = 0; edge < field.edges; edge++) {
      const strength = strengths[edge]!;
      if (strength === 0) continue;
      wakeChange(field, edge, line.xs[index]!, line);
      for (let part = 0; part < 6; part++) sums[partAt(index, part)]! += strength * change[part]!;
    }
  }
}

/** How many numbers of `wakesChanged` a line of so many points has, and its image. */
export const numbersOfChange = (points: number): number => 12 * Math.ceil(points / 2);

const partAt = (point: number, part: number): number => 12 * (point >> 1) + 2 * part + (point & 1);

/** Where these have a component (0 for u, 1 for v, 2 for w) of a point. */
export const changedAt = (point: number, turning: Turning, axis: number): number =>
  partAt(point, (turning === 'up' ? 0 : 3) + axis);
