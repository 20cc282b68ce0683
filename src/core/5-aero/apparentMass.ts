import type { Kilograms, KilogramsPerCubicMetre, Vector3 } from '@/core/1-base/units/convert';
import { isFin } from '@/core/2-document/schema/roles';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';

/** Air that has to be moved with the surfaces when the motion changes. */
export interface ApparentMass {
  /** In heave [kg]. */
  readonly heave: Kilograms;
  /** Its first moment about the balance point, aft positive [kg m]. */
  readonly heaveMoment: number;
  /** In pitch and in roll about the balance point [kg m²]. */
  readonly pitch: number;
  readonly roll: number;
}

/** Steps along a panel; chords change evenly, so few are exact enough. */
const STEPS = 24;

/** Share of the air of an endless strip that a rectangle of an aspect ratio moves in heave. Source: Pabst, 1930. */
export const heaveShare = (aspectRatio: number): number =>
  (aspectRatio / Math.sqrt(1 + aspectRatio ** 2)) * (1 - (0.425 * aspectRatio) / (1 + aspectRatio ** 2));

/** The same in roll: a fit to panel solutions of rectangles, 2 % for aspect ratios of 4 to 16. */
export const rollShare = (aspectRatio: number): number => aspectRatio / (aspectRatio + 1.75);

/**
 * Strips of (π/4) ρ c² a metre of span, normal to the chord and at its middle,
 * less what flows round the tips. ±5 %; sweep and deltas are estimates.
 * Source: Munk, NACA Report 184; Gracey, NACA Report 707, 1941.
 */
export function apparentMass(
  placed: readonly PlacedSurface[],
  density: KilogramsPerCubicMetre,
  [x0, , z0]: Vector3,
): ApparentMass {
  const sum = { heave: 0, heaveMoment: 0, pitch: 0, roll: 0 };
  for (const surface of placed) {
    if (isFin(surface)) continue;
    const sides = surface.mirrored ? 2 : 1;
    const aspectRatio = (sides * surface.stations.at(-1)!.distance) ** 2 / integratePlanforms([surface], 'true')!.area;
    surface.panelDihedrals.forEach((dihedral, panel) => {
      const [a, b] = [surface.stations[panel]!, surface.stations[panel + 1]!];
      const width = (b.distance - a.distance) / STEPS;
      for (let step = 0; step < STEPS; step++) {
        const within = (step + 0.5) / STEPS;
        const at = (key: 'x' | 'y' | 'z' | 'chord') => a[key] + (b[key] - a[key]) * within;
        const strip = (sides * Math.PI * density * at('chord') ** 2 * width) / 4;
        const heave = heaveShare(aspectRatio) * strip * Math.cos(dihedral) ** 2;
        const arm = at('x') + at('chord') / 2 - x0;
        const lever = at('y') * Math.cos(dihedral) + (at('z') - z0) * Math.sin(dihedral);
        sum.heave += heave;
        sum.heaveMoment += heave * arm;
        sum.pitch += heave * arm ** 2;
        sum.roll += rollShare(aspectRatio) * strip * lever ** 2;
      }
    });
  }
  return sum;
}
