import { aeroModel, NO_EXTRA_LOADS } from '@/core/5-aero/aeroModel';
import { commandAngles } from '@/core/5-aero/commands';
import { neutralPointAt } from '@/core/5-aero/derivatives';
import { buildLattice, MOST_PANELS } from '@/core/5-aero/lattice';
import { NoFlowError } from '@/core/5-aero/noFlow';
import type { Metres, Radians } from '@/core/1-base/units/convert';
import { influenceOf } from '../solution/influenceCache';
import type { Prepared } from '../solution/prepare';

/** A coarse lattice that only says how far the choice of wake moves the neutral point. */
const BAND_GRID = { strips: 6, chordwise: 2 };

/** Rise of the tilted wake that the band is taken from; the shift grows in proportion to it. */
const BAND_RISE = 0.1;

/** How far the neutral point moves when wakes leave along the wind instead of the datum; null where the coarse lattice cannot say. */
export function wakeBand(prepared: Prepared, alpha: Radians): Metres | null {
  try {
    return bandOf(prepared, alpha);
  } catch (error) {
    if (error instanceof NoFlowError) return null;
    throw error;
  }
}

function bandOf({ placed, reference, about }: Prepared, alpha: Radians): Metres {
  const lattice = buildLattice(placed, BAND_GRID, MOST_PANELS);
  const pitch = commandAngles(lattice, []);
  const at = (rise: number) => {
    const matrices = influenceOf(lattice, rise, null, true);
    return neutralPointAt(aeroModel({ matrices, reference, pitch, extra: () => NO_EXTRA_LOADS }), alpha, about);
  };
  return Math.abs(((at(BAND_RISE) - at(0)) * Math.tan(alpha)) / BAND_RISE);
}
