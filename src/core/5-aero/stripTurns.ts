import type { Radians } from '@/core/1-base/units/convert';
import { standsAt } from '@/core/3-shape/geometry/asBuilt';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { MixTerm } from './commands';
import { forStrips, type Lattice } from './lattice';

/** A command and how far it is given. */
export interface GivenCommand {
  readonly mix: readonly MixTerm[];
  readonly turn: Radians;
}

/**
 * How far the flap behind each strip of the right half is turned, trailing edge
 * down positive: its neutral and all commands given. Nought without a hinge.
 */
export function stripTurns(lattice: Lattice, given: readonly GivenCommand[]): Float64Array {
  const turns = new Float64Array(lattice.strips.length);
  lattice.surfaces.forEach((surface, index) => {
    const length = developedLength(surface);
    for (const control of surface.source.controls) {
      if (control.allMoving) continue;
      const asked = given.reduce(
        (sum, { mix, turn }) => {
          const term = mix.find((candidate) => candidate.surface === surface.id && candidate.control.id === control.id);
          return sum + (term ? term.right * turn : 0);
        },
        surface.mirrored ? standsAt(control).mean : standsAt(control).right,
      );
      if (asked === 0) continue;
      forStrips(lattice, index, ({ middle }, _first, strip) => {
        if (middle >= control.from * length && middle <= control.to * length) turns[strip]! += asked;
      });
    }
  });
  return turns;
}
