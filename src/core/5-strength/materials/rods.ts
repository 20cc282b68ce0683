import {
  kilogramsPerMetre,
  metresFromMillimetres,
  squareMillimetresFromSquareMetres,
  kilogramsFromGrams,
  type KilogramsPerCubicMetre,
} from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { type RodSection, rodSection } from '@/core/3-shape/section/rod';
import { gigapascals, megapascals, scaled, type Solid } from './solid';

type Rod = Pick<
  Surface['spars'][number],
  'name' | 'material' | 'shape' | 'width' | 'height' | 'innerDiameter' | 'linearDensity' | 'sagTest'
>;

interface RodMaterial extends Solid {
  /** Words it is known by. */
  readonly words: RegExp;
  /** Name in words. */
  readonly name: string;
  readonly density: KilogramsPerCubicMetre;
}

const made = (
  name: string,
  words: RegExp,
  [young, shear]: readonly [number, number],
  [tension, compression]: readonly [number, number],
  density: number,
  band: number,
): RodMaterial => ({
  name,
  words,
  young: gigapascals(young),
  shear: gigapascals(shear),
  tension: megapascals(tension),
  compression: megapascals(compression),
  density,
  band,
});

/**
 * Moduli [GPa] and half of the strengths [MPa] of what sticks and rods are made
 * of, in the middle of what is sold; the first that a word fits counts.
 * Drawn carbon E 115–140, G 4–5, bending 1.2–1.8 GPa; wrapped tube 60–90, G
 * 10–20; drawn glass 38–45, 0.7–1.0 GPa; spruce 10–11, 65–75 MPa; pine 8–12,
 * 60–90; balsa 3.4 and 22 (US Forest Products Laboratory, Wood Handbook);
 * bamboo 15–20, 100–180; aluminium 6061-T6 69, yield 276 (MMPDS); steel wire 200.
 */
export const ROD_MATERIALS: readonly RodMaterial[] = [
  made('wrapped carbon', /wrap|roll/i, [75, 15], [350, 250], 1550, 0.2),
  made('carbon', /carbon|cfr?p/i, [120, 4.5], [750, 500], 1550, 0.12),
  made('glass fibre', /glass|gfr?p/i, [41, 4], [425, 300], 1900, 0.12),
  made('aluminium', /alumin|alloy/i, [69, 26], [138, 138], 2700, 0.05),
  made('steel', /steel|wire|music/i, [200, 78], [500, 500], 7850, 0.05),
  made('bamboo', /bamboo|skewer/i, [17, 1.2], [70, 40], 750, 0.25),
  made('spruce', /spruce/i, [10.5, 0.65], [35, 25], 430, 0.15),
  made('balsa', /balsa/i, [3.4, 0.15], [11, 6], 160, 0.3),
  made('pine', /pine|wood|stick|fir|beech|birch|ply|lime/i, [9.5, 0.6], [37, 25], 500, 0.25),
];

/** What nobody named is taken for the softest wood that sticks are made of, with a wide band. */
const UNKNOWN: RodMaterial = { ...ROD_MATERIALS.at(-1)!, name: 'not known, taken as pine', band: 0.5 };

export const rodMaterialOf = ({ name, material }: Pick<Rod, 'name' | 'material'>): RodMaterial =>
  ROD_MATERIALS.find(({ words }) => words.test(material)) ??
  ROD_MATERIALS.find(({ words }) => words.test(name)) ??
  UNKNOWN;

/** A rod as it bends: its section and what it is made of. */
export interface RodMember {
  readonly section: RodSection;
  readonly solid: Solid;
  /** Second polar moment for twist about itself [m⁴]. */
  readonly torsionConstant: number;
}

/** A tube whose inner side nobody measured, from its mass a metre: A = m'/ρ. */
function innerDiameterOf(rod: Rod, density: KilogramsPerCubicMetre): number {
  if (rod.shape !== 'tube' || rod.innerDiameter > 0 || rod.linearDensity <= 0) return rod.innerDiameter;
  const area = squareMillimetresFromSquareMetres(kilogramsPerMetre(rod.linearDensity) / density);
  return Math.sqrt(Math.max(0, rod.width ** 2 - (4 * area) / Math.PI));
}

/** Stiffness of one that was bent is known to about so much. */
const MEASURED_BAND = 0.05;

/** Round: J = 2 I. Rectangle a ≥ b: a b³ (1/3 − 0.21 (b/a)(1 − b⁴/(12 a⁴))) (Roark's Formulas, table 10.7). */
function torsionConstant(rod: Rod, { secondMoment }: RodSection): number {
  if (rod.shape !== 'rectangle') return 2 * secondMoment;
  const sides = [metresFromMillimetres(rod.width), metresFromMillimetres(rod.height)];
  const [a, b] = [Math.max(...sides), Math.min(...sides)] as [number, number];
  return a > 0 ? a * b ** 3 * (1 / 3 - 0.21 * (b / a) * (1 - b ** 4 / (12 * a ** 4))) : 0;
}

/** What a rod bears: from its material, or from how far it sank under a weight, δ = m g L³/(3 E I). */
export function rodMember(rod: Rod): RodMember {
  const material = rodMaterialOf(rod);
  const section = rodSection({ ...rod, innerDiameter: innerDiameterOf(rod, material.density) as Rod['innerDiameter'] });
  const twisted = torsionConstant(rod, section);
  const { sagTest } = rod;
  if (!sagTest || sagTest.sag <= 0 || section.secondMoment <= 0)
    return { section, solid: material, torsionConstant: twisted };
  const load = kilogramsFromGrams(sagTest.weight) * GRAVITY;
  const young =
    (load * metresFromMillimetres(sagTest.length) ** 3) /
    (3 * metresFromMillimetres(sagTest.sag) * section.secondMoment);
  return {
    section,
    solid: { ...scaled(material, young / material.young, 1), band: MEASURED_BAND },
    torsionConstant: twisted,
  };
}
