import { isFin, isWing } from '@/core/2-document/schema/roles';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Millimetres } from '@/core/1-base/units/convert';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { bodyHalf, placeOnSurface } from '@/core/3-shape/geometry/onSurface';
import { findJunctions } from '@/core/5-aero/junctions';

/** Parts that move together, by name. */
export interface Carried {
  readonly surfaces: ReadonlySet<string>;
  readonly bodies: ReadonlySet<string>;
  readonly massItems: ReadonlySet<string>;
  readonly propulsion: ReadonlySet<string>;
}

type Kind = keyof Carried;
const KINDS: readonly Kind[] = ['surfaces', 'bodies', 'massItems', 'propulsion'];

/**
 * What goes along when the wings are moved: tip fins and whatever else stands
 * on them, servos and drives in or on them outside the fuselage, and what an
 * assembly binds to them.
 */
export function carriedByWings(design: Design): Carried {
  const placed = placeAll(design.surfaces);
  const wings = new Set(design.surfaces.filter(isWing).map(({ id }) => id));
  const stands = findJunctions(placed).flatMap(({ joining, met }) =>
    wings.has(placed[met]!.id) && isFin(placed[joining]!) && placed[joining]!.mirrored ? [placed[joining]!.id] : [],
  );
  const half = bodyHalf(design);
  const isOnWing = ({ x, y }: { readonly x: number; readonly y: number }) =>
    Math.abs(y) > half && placed.some((surface) => wings.has(surface.id) && placeOnSurface(surface, x, y) !== null);
  const ofWing = (item: Design['massItems'][number]) => item.attachment.kind !== 'movesWith' && isOnWing(item.position);
  return withAssemblies(design, {
    surfaces: new Set([...wings, ...stands]),
    bodies: new Set(),
    massItems: new Set(design.massItems.filter(ofWing).map(({ id }) => id)),
    propulsion: new Set(design.propulsion.filter(({ position }) => isOnWing(position)).map(({ id }) => id)),
  });
}

/** A drive this far off the ends of a body sits on it [mm]. */
const REACH = 60;

/** What goes along with a body: what is said to move with it, drives at its ends, and what an assembly binds to it. */
export function carriedByBody(design: Design, body: Body): Carried {
  const [front, rear] = [body.position.x + body.frames[0]!.x, body.position.x + body.frames.at(-1)!.x];
  const half = Math.max(...body.frames.map(({ width }) => width / 2));
  const isAtEnd = ({ position, mirrored }: Design['propulsion'][number]) =>
    mirrored === body.mirrored &&
    Math.abs(position.y - body.position.y) <= half &&
    (Math.abs(position.x - front) <= REACH || Math.abs(position.x - rear) <= REACH);
  return withAssemblies(design, {
    surfaces: new Set(),
    bodies: new Set([body.id]),
    massItems: new Set(
      design.massItems
        .filter(({ attachment }) => attachment.kind === 'movesWith' && attachment.body === body.id)
        .map(({ id }) => id),
    ),
    propulsion: new Set(design.propulsion.filter(isAtEnd).map(({ id }) => id)),
  });
}

/** Everything of an assembly goes when one of its leading parts does. */
function withAssemblies({ assemblies }: Design, carried: Carried): Carried {
  const bound = assemblies.filter(
    ({ kind, surfaces, bodies }) =>
      (kind === 'wing' && surfaces.some((id) => carried.surfaces.has(id))) ||
      (kind === 'pod' && bodies.some((id) => carried.bodies.has(id))),
  );
  const all = (kind: Kind) => new Set([...carried[kind], ...bound.flatMap((assembly) => assembly[kind])]);
  return {
    surfaces: all('surfaces'),
    bodies: all('bodies'),
    massItems: all('massItems'),
    propulsion: all('propulsion'),
  };
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** All of it so much further aft; bays move with what slides in them. */
export function shifted(design: Design, carried: Carried, by: Millimetres | number): FieldChange[] {
  const places = KINDS.flatMap((kind) =>
    design[kind]
      .filter(({ id }) => carried[kind].has(id))
      .map(({ id, position }) => field(kind, id, 'position', 'x').to(tenth(position.x + by))),
  );
  const bays = design.massItems.flatMap(({ id, attachment }) =>
    carried.massItems.has(id) && attachment.kind === 'slides'
      ? [
          field('massItems', id, 'attachment').to({
            ...attachment,
            from: (attachment.from + tenth(by)) as typeof attachment.from,
            to: (attachment.to + tenth(by)) as typeof attachment.to,
          }),
        ]
      : [],
  );
  return [...places, ...bays];
}
