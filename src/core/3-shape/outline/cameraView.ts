import { degreesFromRadians, millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { developedLength, type PlacedSurface, planformAt } from '../geometry/layout';

type Vector = readonly [number, number, number];
/** What a camera sees; `MassItem.view`. */
type View = NonNullable<MassItem['view']>;

/** Where a camera looks: a unit vector, x aft, y right, z up. */
export function directionOf({ towards, down }: Pick<View, 'towards' | 'down'>): Vector {
  const [across, below] = [radiansFromDegrees(towards), radiansFromDegrees(down)];
  return [-Math.cos(across) * Math.cos(below), Math.sin(across) * Math.cos(below), -Math.sin(below)];
}

/** Points on a span and on a chord, on a frame and on a propeller disc, that are tried. */
const ALONG = 24;
const CHORD = 6;
const AROUND = 12;
/** Closer than this it is the camera itself or what holds it [mm]. */
const OWN = 3;

const shares = (count: number) => Array.from({ length: count + 1 }, (_, index) => index / count);
const circle = Array.from({ length: AROUND }, (_, index) => (2 * Math.PI * index) / AROUND);

function surfacePoints(surface: PlacedSurface): Vector[] {
  const length = developedLength(surface);
  const sides = surface.mirrored ? [1, -1] : [1];
  return shares(ALONG).flatMap((share) => {
    const { x, y, z, chord } = planformAt(surface, share * length);
    return shares(CHORD).flatMap((at) =>
      sides.map((side) => [x + at * chord, side * y, z].map(millimetresFromMetres) as unknown as Vector),
    );
  });
}

function bodyPoints({ frames, position, mirrored }: Design['bodies'][number]): Vector[] {
  return (mirrored ? [1, -1] : [1]).flatMap((side) =>
    frames.slice(1).flatMap((frame, index) =>
      shares(4).flatMap((share) => {
        const before = frames[index]!;
        const between = (key: 'x' | 'width' | 'top' | 'bottom') => before[key] + share * (frame[key] - before[key]);
        const [middle, tall] = [(between('top') + between('bottom')) / 2, (between('top') - between('bottom')) / 2];
        return circle.map((angle): Vector => [
          position.x + between('x'),
          side * position.y + (Math.cos(angle) * between('width')) / 2,
          position.z + middle + Math.sin(angle) * tall,
        ]);
      }),
    ),
  );
}

function discPoints({ position, propellerDiameter, mirrored }: Design['propulsion'][number]): Vector[] {
  return (mirrored ? [1, -1] : [1]).flatMap((side) =>
    [1, 0.6, 0.3].flatMap((share) =>
      circle.map((angle): Vector => [
        position.x,
        side * position.y + (Math.cos(angle) * share * propellerDiameter) / 2,
        position.z + (Math.sin(angle) * share * propellerDiameter) / 2,
      ]),
    ),
  );
}

/** A part that stands in the picture. */
export interface InView {
  readonly id: string;
  readonly name: string;
  /** Nearest point of it that is seen [mm]. */
  readonly distance: number;
}

/**
 * Parts of the airframe that stand in the picture of a camera: those with a
 * point within half the field of view of where it looks, the nearest first.
 * Nothing hides behind anything else, so that a part that another one covers
 * is named too. The body that the camera sits in counts only where it reaches
 * out ahead of the lens.
 */
export function inView(design: Design, placed: readonly PlacedSurface[], camera: MassItem): InView[] {
  const { view, position, size } = camera;
  if (!view) return [];
  const direction = directionOf(view);
  // The lens sits at the face of the box that it looks out of.
  const out = (size?.length ?? 0) / 2;
  const eye = [position.x, position.y, position.z].map((value, axis) => value + direction[axis]! * out);
  const most = Math.cos(radiansFromDegrees(view.fieldOfView / 2));
  const nearest = (points: readonly Vector[]): number => {
    const seen = points.flatMap((point) => {
      const away = point.map((value, axis) => value - eye[axis]!);
      const distance = Math.hypot(...away);
      if (distance < OWN) return [];
      const cosine = away.reduce((sum, value, axis) => sum + value * direction[axis]!, 0) / distance;
      return cosine >= most ? [distance] : [];
    });
    return Math.min(Infinity, ...seen);
  };
  const parts = [
    ...placed.map((surface) => ({ id: surface.id, name: surface.source.name, points: surfacePoints(surface) })),
    ...design.bodies.map((body) => ({ id: body.id, name: body.name, points: bodyPoints(body) })),
    ...design.propulsion.map((drive) => ({
      id: drive.id,
      name: `Propeller of ${drive.name || drive.id}`,
      points: discPoints(drive),
    })),
    ...design.wheels.map((wheel) => ({
      id: wheel.id,
      name: 'Wheel',
      points: (wheel.mirrored ? [1, -1] : [1]).map((side): Vector => [
        wheel.position.x,
        side * wheel.position.y,
        wheel.position.z,
      ]),
    })),
  ];
  return parts
    .map(({ id, name, points }) => ({ id, name: name || id, distance: nearest(points) }))
    .filter(({ distance }) => Number.isFinite(distance))
    .sort((a, b) => a.distance - b.distance);
}

/** Half the angle that a cone takes in a view from above or from the side, and where its middle points [°, 0 aft]. */
export function coneIn(view: 'plan' | 'side', of: View): { readonly towards: number; readonly half: number } {
  const [x, y, z] = directionOf(of);
  const across = view === 'plan' ? y : z;
  return { towards: degreesFromRadians(Math.atan2(across, x)), half: of.fieldOfView / 2 };
}
