import type { KilogramsPerCubicMetre, Pascals } from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';
import { gigapascals, megapascals, type Solid } from './solid';

/** A core: what it resists with, and where it is crushed and sheared off [Pa]. */
export interface Core extends Solid {
  readonly crush: Pascals;
  readonly shearStrength: Pascals;
}

type CoreKind = Material['core'];

interface Anchor {
  /** Density it was measured at [kg/m³]. */
  readonly density: number;
  readonly core: Core;
}

/**
 * Middle of what is measured: extruded polystyrene of 35 kg/m³ E 8–20, G 3–7,
 * crush 0.2–0.35 MPa; beads of 20 kg/m³ 3–6, 2–3, 0.10; polypropylene beads
 * 2–8; balsa of 160 kg/m³ 3.4 GPa and 22 MPa along the grain (US Forest
 * Products Laboratory, Wood Handbook). Tension of foams about 1.5 times crush,
 * shear about as much as crush.
 */
const ANCHORS: Readonly<Record<CoreKind, Anchor>> = {
  extruded: { density: 35, core: foam(14, 5, 0.27, 0.4) },
  bead: { density: 20, core: foam(4.5, 2.5, 0.1, 0.35) },
  polypropylene: { density: 25, core: foam(5, 2, 0.1, 0.5) },
  wood: {
    density: 160,
    core: {
      young: gigapascals(3.4),
      shear: gigapascals(0.15),
      tension: megapascals(11),
      compression: megapascals(6),
      crush: megapascals(0.8),
      shearStrength: megapascals(1),
      band: 0.3,
    },
  },
};

function foam(young: number, shear: number, crush: number, band: number): Core {
  return {
    young: megapascals(young),
    shear: megapascals(shear),
    tension: megapascals(1.5 * crush),
    compression: megapascals(crush),
    crush: megapascals(crush),
    shearStrength: megapascals(crush),
    band,
  };
}

/** Polystyrene by itself: density [kg/m³]; and the share of it that lies in the edges of the cells. */
const SOLID_DENSITY = 1050;
const IN_EDGES = 0.8;

/**
 * Stiffness of closed cells over that of the solid: φ² (ρ/ρ_s)² + (1 − φ) ρ/ρ_s.
 * Source: Gibson & Ashby, Cellular Solids, 2nd ed., section 5.3. 33 kg/m³ of
 * polystyrene (3 GPa): 21 MPa.
 */
export function closedCells(density: KilogramsPerCubicMetre): number {
  const relative = density / SOLID_DENSITY;
  return IN_EDGES ** 2 * relative ** 2 + (1 - IN_EDGES) * relative;
}

/** A core lighter or heavier than that has been mistyped, or glue is in its weight [kg/m³]. */
const [LIGHTEST, HEAVIEST] = [10, 400];

/** A core of some density: foams by the law of closed cells from where they were measured, wood in proportion. */
export function coreOf(kind: CoreKind, density: KilogramsPerCubicMetre): Core {
  const { density: measuredAt, core } = ANCHORS[kind];
  const at = Math.min(HEAVIEST, Math.max(LIGHTEST, density));
  const stiffness = kind === 'wood' ? at / measuredAt : closedCells(at) / closedCells(measuredAt);
  // Crush follows the edges of the cells, ρ^1.5 (Gibson & Ashby, same chapter).
  const strength = kind === 'wood' ? at / measuredAt : (at / measuredAt) ** 1.5;
  return {
    young: core.young * stiffness,
    shear: core.shear * stiffness,
    tension: core.tension * strength,
    compression: core.compression * strength,
    crush: core.crush * strength,
    shearStrength: core.shearStrength * strength,
    band: core.band,
  };
}
