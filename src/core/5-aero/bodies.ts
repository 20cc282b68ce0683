import { isLifting } from '@/core/2-document/schema/roles';
import type { Design } from '@/core/2-document/schema/design';
import {
  degreesFromRadians,
  metresFromMillimetres,
  radiansFromDegrees,
  type Vector3,
  vectorFromPoint,
} from '@/core/1-base/units/convert';
import type { ExtraLoads } from './aeroModel';
import { addLoads, type Load } from './forces';
import type { FlowCase } from './flowCase';
import type { InfluenceMatrices } from './influence';
import { dragParts } from './dragParts';
import { munkFactor } from './ellipsoid';
import { induceAt, velocityRow } from './inducedVelocity';
import { vortexField } from './vortexField';

/**
 * Slender-body moments of fuselages, per radian and ½ρV²:
 *
 *   dM/dα = (k₂ − k₁) (π/2) ∫ w² (1 + dε_u/dα) dx    w width, ε_u upwash of the wings
 *   dN/dβ = −f (k₂ − k₁) (π/2) ∫ h² dx               h height
 *
 * k₂ − k₁ is what a body of that slenderness has of an endless one. Ahead of
 * the wings the local upwash comes from the lattice, beside a wing it cancels
 * the angle of attack, behind it grows back with the downwash. In yaw no wing
 * straightens the flow: it leaves the lee side, and measured fuselages have
 * f = 0.6 of the attached moment.
 * Closed bodies; ±20 % in pitch, ±35 % in yaw. Source: Munk, NACA Report 184,
 * 1924; Multhopp, Luftfahrtforschung 18 (1941); measured in yaw: Perkins & Hage,
 * Airplane Performance, Stability and Control, 1949, ch. 8.
 */
export const BODY_BAND = { pitch: 0.2, yaw: 0.35 } as const;
const SEPARATED = 0.6;

/**
 * Normal force of a windmilling propeller, per degree on ½ρV² and disc area,
 * by blades: not in proportion to them. Good to ±30 %.
 * Source: Perkins & Hage, Airplane Performance, Stability and Control, 1949, ch. 5.
 */
const NORMAL_FORCE: readonly (readonly [number, number])[] = [
  [2, 0.00165],
  [3, 0.00235],
  [4, 0.00296],
];

/** Per radian; a single blade has half of two, more than four go on as from three to four. */
export function propellerNormalForce(blades: number): number {
  const row = Math.min(Math.max(0, NORMAL_FORCE.findIndex(([count]) => count >= blades) - 1), NORMAL_FORCE.length - 2);
  const at = blades > 4 ? NORMAL_FORCE.length - 2 : row;
  const [[from, less], [to, more]] = [NORMAL_FORCE[at]!, NORMAL_FORCE[at + 1]!];
  const perDegree = blades < 2 ? (less * blades) / 2 : less + ((more - less) * (blades - from)) / (to - from);
  return perDegree * degreesFromRadians(1);
}

interface Segment {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly sides: number;
  /** k₂ − k₁ of the whole body, seen from above and from the side. */
  readonly flat: number;
  readonly tall: number;
}

function segments(design: Design): Segment[] {
  return design.bodies.flatMap((body) => {
    const [x0, y0, z0] = vectorFromPoint(body.position);
    const whole = body.frames.at(-1)!.x - body.frames[0]!.x;
    const widest = Math.max(...body.frames.map(({ width }) => width));
    const tallest = Math.max(...body.frames.map(({ top, bottom }) => top - bottom));
    const [flat, tall] = [munkFactor(whole / widest), munkFactor(whole / tallest)];
    return body.frames.slice(1).flatMap((b, index) => {
      const a = body.frames[index]!;
      const pieces = Math.max(1, Math.ceil((b.x - a.x) / 60));
      return Array.from({ length: pieces }, (_, piece) => {
        const share = (piece + 0.5) / pieces;
        const at = (key: keyof typeof a) => metresFromMillimetres(a[key] + (b[key] - a[key]) * share);
        return {
          x: x0 + at('x'),
          y: y0,
          z: z0 + (at('top') + at('bottom')) / 2,
          length: metresFromMillimetres(b.x - a.x) / pieces,
          width: at('width'),
          height: at('top') - at('bottom'),
          sides: body.mirrored ? 2 : 1,
          flat,
          tall,
        };
      });
    });
  });
}

/** Upwash per radian of angle of attack at a place, smoothed out beside the wings. */
function upwash(matrices: InfluenceMatrices, rising: FlowCase): (x: number, y: number, z: number) => number {
  const { lattice } = matrices;
  const { circulation } = rising;
  const field = matrices.field.rise === 0 ? matrices.field : vortexField(lattice, { rise: 0 });
  const row = velocityRow(lattice.panels);
  const lifting = lattice.surfaces.filter(isLifting);
  const chords = lifting.map(({ stations }) => ({
    from: stations[0]!.x,
    chord: stations[0]!.chord,
  }));
  return (x, y, z) => {
    if (chords.some(({ from, chord }) => x > from - 0.02 * chord && x < from + chord)) return -1;
    let sum = 0;
    // On the centre line both halves do the same.
    const sides = y === 0 ? [0] : [y, -y];
    for (const side of sides) {
      induceAt(field, x, { y: side, z, own: -1 }, row);
      for (let j = 0; j < lattice.panels; j++) sum += lattice.doubled[j]! * row.w[j]! * circulation[j]!;
    }
    sum *= 2 / sides.length;
    // Just behind the wing the lattice gives too much: the flow still leaves along the chord.
    return Math.min(1.5, Math.max(-1, sum));
  };
}

/** Bodies, propellers and drag items of a design as loads per ρV². */
export function extraLoadsOf(design: Design, matrices: InfluenceMatrices, rising: FlowCase): ExtraLoads {
  const parts = segments(design);
  const wash = upwash(matrices, rising);
  let pitch = 0;
  let yaw = 0;
  for (const { x, y, z, length, width, height, sides, flat, tall } of parts) {
    pitch += (flat * sides * Math.PI * width ** 2 * (1 + wash(x, y, z)) * length) / 4;
    yaw += (SEPARATED * tall * sides * Math.PI * height ** 2 * length) / 4;
  }
  const discs = design.propulsion.map((drive) => ({
    at: vectorFromPoint(drive.position),
    slope:
      (propellerNormalForce(drive.blades) *
        (Math.PI / 4) *
        metresFromMillimetres(drive.propellerDiameter) ** 2 *
        (drive.mirrored ? 2 : 1)) /
      2,
    tilt: radiansFromDegrees(drive.downThrust),
  }));
  const drags = dragParts(design);
  const at = (force: Vector3, place: Vector3, about: Vector3): Load => {
    const [x, y, z] = [place[0] - about[0], 0, place[2] - about[2]];
    return {
      force,
      moment: [y * force[2] - z * force[1], z * force[0] - x * force[2], x * force[1] - y * force[0]],
    };
  };
  const perAlpha = (_alpha: number, about: Vector3): Load =>
    addLoads([
      { force: [0, 0, 0], moment: [0, pitch, 0] },
      ...discs.map((disc) => at([0, 0, disc.slope], disc.at, about)),
    ]);
  return {
    bodies: { perAlpha: pitch, perBeta: yaw },
    atAlpha: (alpha, about) =>
      addLoads([
        { force: [0, 0, 0], moment: [0, pitch * alpha, 0] },
        ...discs.map((disc) => at([0, 0, disc.slope * (alpha - disc.tilt)], disc.at, about)),
        ...drags.map(({ area, place }) =>
          at([(area * Math.cos(alpha)) / 2, 0, (area * Math.sin(alpha)) / 2], place, about),
        ),
      ]),
    perAlpha,
    perBeta: (about) =>
      addLoads([
        // Yaw is −z: a body alone turns away from the wind.
        { force: [0, 0, 0], moment: [0, 0, yaw] },
        ...discs.map((disc) => at([0, -disc.slope, 0], disc.at, about)),
      ]),
    perPitchRate: (about) =>
      addLoads(discs.map((disc) => at([0, 0, disc.slope * (disc.at[0] - about[0])], disc.at, about))),
    perYawRate: (about) =>
      addLoads(discs.map((disc) => at([0, disc.slope * (disc.at[0] - about[0]), 0], disc.at, about))),
  };
}
