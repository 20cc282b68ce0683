import type { Millimetres } from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { nameOfSurface } from '../panels';
import { type Frame, framesBetween, type Stuff } from './stuff';

/** Upper or lower face of a body. */
export type Which = 'top' | 'bottom';

/** Where an upright surface in the middle meets a body; x aft of the body position, half to either side. */
export interface FinFoot {
  readonly name: string;
  readonly from: Millimetres;
  readonly to: Millimetres;
  /** Half its thickness. */
  readonly half: Millimetres;
  /** All round where it goes through a slot; none where it stands on its mark. */
  readonly play: Millimetres;
  readonly isThrough: boolean;
}

/** Steeper than that a surface stands on a lid [°]. */
const STANDS = 60;
/** Shorter feet are none [mm]. */
const LEAST_FOOT: Millimetres = 12;

/** Upright surfaces in the middle whose root meets a face: through it where they begin below it, else on it. */
export function finFeet(
  { design, body, thickness, allowances }: Stuff,
  which: Which,
  frames: readonly Frame[],
): FinFoot[] {
  return design.surfaces.flatMap((surface: Surface): FinFoot[] => {
    const [root] = surface.stations;
    const { position, mirrored } = surface;
    const isUp = which === 'top' ? root!.dihedral >= STANDS : root!.dihedral <= -STANDS;
    if (mirrored || !isUp || Math.abs(position.y - body.position.y) > 2) return [];
    const nose = position.x + root!.leadingEdgeOffset - body.position.x;
    const [from, to] = [Math.max(nose, frames[0]!.x), Math.min(nose + root!.chord, frames.at(-1)!.x)];
    if (to - from < LEAST_FOOT) return [];
    const faces = framesBetween(frames, from, to).map((frame) => frame[which] + body.position.z);
    const away = which === 'top' ? position.z - Math.max(...faces) : Math.min(...faces) - position.z;
    if (away > thickness) return [];
    const isThrough = away < -thickness / 2;
    const { upper, lower } = contourOf(root!.section, root!.chord);
    const thick = Math.max(...upper.map((height, index) => height - lower[index]!)) * root!.chord;
    const play = isThrough ? allowances.slot : 0;
    return [{ name: nameOfSurface(surface), from, to, half: thick / 2, play, isThrough }];
  });
}
