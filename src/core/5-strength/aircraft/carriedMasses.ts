import type { Kilograms, Vector3 } from '@/core/1-base/units/convert';
import { kilogramsFromGrams, vectorFromPoint } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { isFin, isWing } from '@/core/2-document/schema/roles';
import { distanceAt, bodyHalf, placeOnSurface } from '@/core/3-shape/geometry/onSurface';
import { developedLength, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { findJunctions } from '@/core/5-aero/junctions';
import { bodyElements, surfaceElements } from '@/core/4-weight/boardParts';
import type { BeamLoad } from '../beam/stretch';
import { GRAVITY } from '@/core/5-aero/atmosphere';

/** A mass on the right half of a surface, and how far from its root it hangs on it. */
export interface CarriedMass {
  readonly mass: Kilograms;
  readonly at: Vector3;
  readonly place: number;
  readonly spread: number;
}

/**
 * What the right half of a surface carries: its own board, rods, glue and
 * cover where they lie, and on wings the equipment, pods and fins that sit
 * outside the fuselage.
 */
export function carriedMasses(design: Design, placed: readonly PlacedSurface[], surface: PlacedSurface): CarriedMass[] {
  const masses: CarriedMass[] = [];
  const put = (mass: number, at: Vector3, spread = 0) => {
    if (mass > 0) masses.push({ mass, at, place: distanceAt(surface, at), spread });
  };
  const isRight = ([, y]: Vector3) => !surface.mirrored || y >= 0;
  for (const { mass, centre, size } of surfaceElements(design, surface))
    if (isRight(centre)) put(mass, centre, size[1]);
  if (!isWing(surface.source)) return merged(masses, surface);
  const half = bodyHalf(design);
  for (const { position, mirrored, mass, measuredMass, attachment } of design.massItems) {
    if (Math.abs(position.y) <= half || attachment.kind === 'movesWith') continue;
    if (position.y < 0 && !mirrored) continue;
    if (placeOnSurface(surface, position.x, position.y) === null) continue;
    const [x, y, z] = vectorFromPoint(position);
    put(kilogramsFromGrams(measuredMass ?? mass), [x, Math.abs(y), z]);
  }
  for (const body of design.bodies) {
    if (!body.mirrored || Math.abs(body.position.y) <= half) continue;
    for (const { mass, centre } of bodyElements(design, body)) {
      if (centre[1] < 0) continue;
      put(mass, centre);
    }
  }
  for (const { joining, met } of findJunctions(placed)) {
    const fin = placed[joining]!;
    if (placed[met]!.id !== surface.id || !isFin(fin) || !fin.mirrored) continue;
    for (const { mass, centre } of surfaceElements(design, fin)) if (centre[1] >= 0) put(mass, centre);
  }
  return merged(masses, surface);
}

/** Parts of the span in which masses are summed up. */
const PARTS = 16;

/** Masses that lie in one part of the span, as one at their middle. */
function merged(masses: readonly CarriedMass[], surface: PlacedSurface): CarriedMass[] {
  const length = developedLength(surface);
  const parts = new Map<number, CarriedMass>();
  for (const one of masses) {
    const part = Math.min(PARTS - 1, Math.floor((one.place / length) * PARTS));
    const known = parts.get(part);
    if (!known) {
      parts.set(part, one);
      continue;
    }
    const mass = known.mass + one.mass;
    const share = one.mass / mass;
    const between = (a: number, b: number) => a + (b - a) * share;
    parts.set(part, {
      mass,
      at: [between(known.at[0], one.at[0]), between(known.at[1], one.at[1]), between(known.at[2], one.at[2])],
      place: between(known.place, one.place),
      spread: 0,
    });
  }
  return [...parts.values()];
}

/** Weights pulling down n times as hard. */
export const weightLoads = (masses: readonly CarriedMass[], factor: number): BeamLoad[] =>
  masses.map(({ mass, at, place, spread }) => ({
    from: Math.max(0, place - spread / 2),
    to: place + spread / 2,
    at,
    way: [0, 1, 0],
    force: [0, 0, -factor * mass * GRAVITY],
  }));
