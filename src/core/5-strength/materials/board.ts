import {
  type Fraction,
  kilogramsFromGrams,
  kilogramsPerSquareMetre,
  metresFromMillimetres,
  type Metres,
  type Millimetres,
} from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { type Core, coreOf } from './foam';
import type { Board } from './ownBoard';
import { gigapascals, megapascals, scaled, type Solid } from './solid';

/**
 * Paper of boards, in the middle of both directions, dry: along the machine E
 * 5–8 GPa and 50–80 MPa, across 2–4 and 20–35; pressed about half of that; G
 * 1.2–2. Half of it when damp. B, ±40 %.
 */
const PAPER: Solid = {
  young: gigapascals(4),
  shear: gigapascals(1.5),
  tension: megapascals(40),
  compression: megapascals(20),
  band: 0.4,
};
/** 80–120 g/m² are 0.10–0.15 mm thick. */
const PAPER_DENSITY = 800;

/** What a layer of a sheet is. */
export type LayerMember = 'paper' | 'core' | 'covering';

/** A layer of a sheet: its thickness, and its middle above the middle of the sheet. */
export interface Layer {
  readonly member: LayerMember;
  readonly solid: Solid;
  readonly thickness: Metres;
  readonly height: Metres;
}

/** A sheet, layer by layer. */
export interface Layup {
  readonly thickness: Metres;
  readonly layers: readonly Layer[];
  readonly core: Core;
  readonly coreThickness: Metres;
}

/** Stiffness of a sheet per metre of its width. */
export interface PlateStiffness {
  /** Bending E I [N·m] and twist D₆₆ [N·m]. */
  readonly bending: number;
  readonly twist: number;
  /** Shear across its thickness, G_c d²/t_c [N/m]; bare board G t. */
  readonly shear: number;
  /** Pull along it, Σ E t, and shear in its plane, Σ G t [N/m]. */
  readonly pull: number;
  readonly plane: number;
}

/** What is put on a sheet on both faces [m], such as tape. */
export interface Covering {
  readonly solid: Solid;
  readonly thickness: Metres;
}

/** Σ(E t³/12 + E t (z − z₀)²) about the middle z₀ = ΣE t z/ΣE t; faces of a stiff-cored sheet E_f t_f d²/2. Source: Allen, Analysis and Design of Structural Sandwich Panels, 1969, ch. 2. */
export function plateStiffness(layup: Layup): PlateStiffness {
  const before = known.get(layup);
  if (before) return before;
  const made = plateStiffnessOf(layup);
  known.set(layup, made);
  return made;
}

/** By the sheet: every wall of every section asks. */
const known = new WeakMap<Layup, PlateStiffness>();

function plateStiffnessOf({ layers, core, coreThickness, thickness }: Layup): PlateStiffness {
  const about = (modulus: (layer: Layer) => number) => {
    let [sum, first] = [0, 0];
    for (const layer of layers) {
      sum += modulus(layer) * layer.thickness;
      first += modulus(layer) * layer.thickness * layer.height;
    }
    const middle = sum > 0 ? first / sum : 0;
    let second = 0;
    for (const layer of layers)
      second += modulus(layer) * layer.thickness * (layer.thickness ** 2 / 12 + (layer.height - middle) ** 2);
    return { sum, second };
  };
  const bending = about(({ solid }) => solid.young);
  const twist = about(({ solid }) => solid.shear);
  const between = (thickness + coreThickness) / 2;
  return {
    bending: bending.second,
    twist: twist.second,
    shear: coreThickness > 0 ? (core.shear * between ** 2) / coreThickness : 0,
    pull: bending.sum,
    plane: twist.sum,
  };
}

/** Compression at which a face wrinkles on its core: ½ (E_f E_c G_c)^⅓ (Hoff & Mautner, J. Aeronautical Sciences 12, 1945). */
export const wrinklingStress = (face: Solid, core: Core): number =>
  0.5 * Math.cbrt(face.young * core.young * core.shear);

/** What a face bears pressed: its own strength, or less where it wrinkles. */
const pressed = (face: Solid, core: Core): Solid => ({
  ...face,
  compression: Math.min(face.compression, wrinklingStress(face, core)),
});

/** A core thinner than that is none [m], and lighter than that is a mistyped weight [kg/m³]. */
const LEAST_CORE = 1e-4;

/** A sheet as it is taken for, from what it weighs and is made of. @param thickness of the board as it is used [mm] */
function takenFor(material: Material, thickness: Millimetres, covering: Covering | null): Layup {
  const whole = metresFromMillimetres(thickness);
  const count = { both: 2, one: 1, none: 0 }[material.faces];
  const paper = Math.min(kilogramsPerSquareMetre(material.faceDensity) / PAPER_DENSITY, (whole - LEAST_CORE) / 2);
  const coreThickness = Math.max(LEAST_CORE, whole - count * paper);
  const areal = kilogramsPerSquareMetre(material.arealDensity) - count * kilogramsPerSquareMetre(material.faceDensity);
  // A block weighs by its own thickness, a board by that it is sold in.
  const sold = Math.max(LEAST_CORE, metresFromMillimetres(material.thickness) - count * paper);
  const core = coreOf(material.core, areal / sold);
  const face = (solid: Solid, member: LayerMember, depth: number, side: 1 | -1): Layer => ({
    member,
    solid: pressed(solid, core),
    thickness: depth,
    height: (side * (whole - depth)) / 2,
  });
  const faces = [
    ...(count > 0 ? [face(PAPER, 'paper', paper, 1)] : []),
    ...(count > 1 ? [face(PAPER, 'paper', paper, -1)] : []),
  ];
  const over = covering
    ? ([1, -1] as const).map((side) => {
        const layer = face(covering.solid, 'covering', covering.thickness, side);
        return { ...layer, height: (side * (whole + covering.thickness)) / 2 };
      })
    : [];
  const inner: Layer = {
    member: 'core',
    solid: core,
    thickness: coreThickness,
    height: count === 1 ? -paper / 2 : 0,
  };
  return { thickness: whole, layers: [...faces, inner, ...over], core, coreThickness };
}

/** Stiffness of a sheet that was bent is known to about so much. */
const MEASURED_BAND = 0.1;

/** E I of a strip over its width, from δ = m g L³/(3 E I) [N·m]. */
export function measuredBending({ length, width, weight, sag }: NonNullable<Material['sagTest']>): number | null {
  const load = kilogramsFromGrams(weight) * GRAVITY;
  const stiffness = (load * metresFromMillimetres(length) ** 3) / (3 * metresFromMillimetres(sag));
  const perWidth = stiffness / metresFromMillimetres(width);
  return Number.isFinite(perWidth) && perWidth > 0 ? perWidth : null;
}

/** Moment per width under which a strip gave way, m g L/b [N]. */
export function measuredBreak({ length, width, weight }: NonNullable<Material['breakTest']>): number | null {
  const perWidth =
    (kilogramsFromGrams(weight) * GRAVITY * metresFromMillimetres(length)) / metresFromMillimetres(width);
  return Number.isFinite(perWidth) && perWidth > 0 ? perWidth : null;
}

/** Moment per width that a sheet bears by itself: the least of σ (E I)/(E z) over its layers [N]. */
export function plateStrength(layup: Layup): number {
  const { bending } = plateStiffness(layup);
  const least = layup.layers.map(({ solid, height, thickness }) => {
    const strength = Math.min(solid.tension, solid.compression);
    return (strength * bending) / (solid.young * (Math.abs(height) + thickness / 2));
  });
  return Math.min(...least);
}

/** Stiffness of a strip that was bent over what its board is taken for; null where none was. */
export function stiffnessSeen(material: Material): Fraction | null {
  const bent = material.sagTest ? measuredBending(material.sagTest) : null;
  return bent === null ? null : bent / plateStiffness(takenFor(material, material.thickness, null)).bending;
}

/** Twice the spread of the builder’s own figure, where there is one. */
const bandOfOwn = ({ own }: Board): Fraction => (own?.spread === undefined ? Infinity : 2 * own.spread);

/**
 * A sheet layer by layer: as it is taken for or as this builder’s come out, and
 * where a strip of it was bent or broken, as that showed (all its layers alike).
 */
export function layupOf(material: Board, thickness: Millimetres, covering: Covering | null = null): Layup {
  const bent = stiffnessSeen(material);
  const broken = material.breakTest ? measuredBreak(material.breakTest) : null;
  const stronger = broken === null ? 1 : broken / plateStrength(takenFor(material, material.thickness, null));
  const plain = takenFor(material, thickness, covering);
  if (bent === null && broken === null && !material.own) return plain;
  const stiffer = bent ?? material.own?.stiffness ?? 1;
  const band = bent === null ? bandOfOwn(material) : MEASURED_BAND;
  const told = <S extends Solid>(solid: S): S => ({
    ...solid,
    ...scaled(solid, stiffer, stronger),
    band: Math.min(band, solid.band),
  });
  return {
    ...plain,
    core: told(plain.core),
    layers: plain.layers.map((layer) => (layer.member === 'covering' ? layer : { ...layer, solid: told(layer.solid) })),
  };
}
