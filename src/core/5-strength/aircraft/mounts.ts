import { times } from '@/core/1-base/numeric/vectors';
import { metresFromMillimetres, millimetresFromMetres as millimetres, type Metres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import { bodyHalf } from '@/core/3-shape/geometry/onSurface';
import { developedLength, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { type BodyBeam, bodyBeam, endTurn } from '../body/bodyBeam';
import { type BodyStuff, bodyStuff } from '../body/bodySection';
import type { Mount } from '../aeroelastic/mount';

/** A tail, a canard or a fin lies on a body when it is this near it [mm]. */
const NEAR = 60;

/** A body that carries surfaces fore or aft of where wings hold it. */
export interface Boom {
  readonly body: Body;
  readonly stuff: BodyStuff;
  readonly beam: BodyBeam | null;
  readonly isMiddle: boolean;
  /** Places of the surfaces on it. */
  readonly surfaces: readonly number[];
  /** Where it is held, aft of the datum [m]; and whether it reaches to the rear from there. */
  readonly from: Metres;
  readonly isAft: boolean;
  /** From where it is held to the middle of what it carries [m]. */
  readonly length: Metres;
}

/** How high over a body or under it a surface lies, beside its reach fore and aft; null where it lies off [mm]. */
function apartFrom(body: Body, surface: PlacedSurface): number | null {
  const root = surface.stations[0]!;
  const middle = millimetres(root.x + root.chord / 2) - body.position.x;
  const [front, rear] = [body.frames[0]!, body.frames.at(-1)!];
  if (middle < front.x - NEAR || middle > rear.x + NEAR) return null;
  const frame = body.frames.find(({ x }) => x >= middle) ?? rear;
  const height = millimetres(root.z) - body.position.z;
  const above = Math.max(0, height - frame.top, frame.bottom - height);
  const half = frame.width / 2;
  const aside = Math.abs(body.position.y) - half;
  const tip = millimetres(Math.abs(surface.stations.at(-1)!.y));
  const rootY = millimetres(Math.abs(root.y));
  // A tail may reach out to twin booms from the middle.
  const beside = body.mirrored
    ? aside > tip
      ? aside - tip
      : Math.max(0, rootY - Math.abs(body.position.y) - half)
    : Math.max(0, rootY - half);
  return above <= NEAR && beside <= NEAR ? above + beside : null;
}

/** Where wings hold a body: from the foremost leading edge of a root on it to the rearmost trailing edge [m]. */
export function heldBetween(body: Body, surfaces: readonly PlacedSurface[]): readonly [Metres, Metres] | null {
  let [front, rear] = [Infinity, -Infinity];
  for (const surface of surfaces) {
    if (!isWing(surface.source)) continue;
    const out = Math.max(0, metresFromMillimetres(Math.abs(body.position.y)) - surface.stations[0]!.y);
    if (out > developedLength(surface)) continue;
    const { x, chord, z } = planformAt(surface, Math.min(out, developedLength(surface) * (1 - 1e-9)));
    const heights = body.frames.flatMap(({ top, bottom }) => [top, bottom]);
    const height = millimetres(z) - body.position.z;
    if (height > Math.max(...heights) + 3 * NEAR || height < Math.min(...heights) - 3 * NEAR) continue;
    front = Math.min(front, x);
    rear = Math.max(rear, x + chord);
  }
  return rear > front ? [front, rear] : null;
}

/** Bodies that carry what is neither wing nor stands on one, each with the beam between. */
export function boomsOf(design: Design, surfaces: readonly PlacedSurface[]): Boom[] {
  const on = new Map<Body, number[]>();
  const half = bodyHalf(design);
  surfaces.forEach((surface, index) => {
    if (isWing(surface.source) || surface.role === 'tipFin') return;
    let nearest: { body: Body; apart: number } | null = null;
    for (const body of design.bodies) {
      if (body.mirrored && Math.abs(body.position.y) <= half / 2) continue;
      const apart = apartFrom(body, surface);
      if (apart !== null && apart < (nearest?.apart ?? Infinity)) nearest = { body, apart };
    }
    if (nearest) on.set(nearest.body, [...(on.get(nearest.body) ?? []), index]);
  });
  return [...on].flatMap(([body, places]) => {
    const held = heldBetween(body, surfaces);
    if (!held) return [];
    const stuff = bodyStuff(body, design);
    const middles = places.map((place) => {
      const root = surfaces[place]!.stations[0]!;
      return root.x + root.chord / 2;
    });
    // What lies ahead of the wing and what lies behind it bend parts of their own.
    const groups = [
      { from: held[0], within: places.filter((_, index) => middles[index]! < held[0]) },
      { from: held[1], within: places.filter((_, index) => middles[index]! > held[1]) },
    ].filter(({ within }) => within.length > 0);
    return groups.map(({ from, within }): Boom => {
      const own = within.map((place) => middles[places.indexOf(place)]!);
      const to = own.reduce((sum, x) => sum + x, 0) / own.length;
      return {
        body,
        stuff,
        beam: bodyBeam(stuff, from, to),
        isMiddle: !body.mirrored,
        surfaces: within,
        from,
        isAft: to > from,
        length: Math.abs(to - from),
      };
    });
  });
}

/** Booms as things that turn under their surfaces, so many times as far as computed. */
export const mountsOf = (booms: readonly Boom[], softer = 1): Mount[] =>
  booms.flatMap(({ beam, surfaces, isMiddle }) => {
    if (!beam) return [];
    const turn = endTurn(beam);
    const turnBy: Mount['turnBy'] = (...load) => times(turn(...load), softer);
    return [{ surfaces, turnBy: softer === 1 ? turn : turnBy, isMiddle }];
  });
