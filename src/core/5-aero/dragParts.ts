import type { Body, DragItem, Wheel } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import {
  metresFromMillimetres,
  squareMetresFromSquareMillimetres,
  type SquareMetres,
  type Vector3,
  vectorFromPoint,
} from '@/core/1-base/units/convert';
import { sectionDataOf, shapeOf } from '@/core/3-shape/section/lowReynolds';
import { airAt } from './atmosphere';

/** What drags beside the surfaces themselves: an area that meets the dynamic pressure, and where. */
export interface DragPart {
  readonly id: string;
  readonly kind: 'body' | 'item' | 'wheel' | 'linkage' | 'equipment' | 'junction';
  readonly area: SquareMetres;
  readonly place: Vector3;
}

/** Closed body on its frontal area, rough surface, Re about 10⁵. Source: Hoerner, Fluid-Dynamic Drag, 1965, ch. 6; ±30 %. */
const BODY_DRAG = { box: 0.45, round: 0.25 } as const;
/** Round bar across the wind below the critical Re, box, flat face, faired body. Source: Hoerner, ch. 3 and 6; ±20 %. */
const FORM_DRAG = { bar: 1.1, box: 1.05, disc: 1.15, faired: 0.15 } as const;
/** A wheel on its diameter times its width (Hoerner, ch. 13; ±25 %), and how wide one is when nobody says. */
const WHEEL_DRAG = 0.35;
const USUAL_WIDTH = 0.28;
/** Horn with clevis and the end of its rod, across the wind [mm]; ±50 %. */
const HORN_WIDTH = 4;
/** Boxes of what stands in the wind when no size was typed [mm]: a small servo, a receiver. */
const USUAL_BOX = { width: 12, height: 16 } as const;

/** Everything beside the surfaces that drags in flight with power. */
export function dragParts(design: Design): DragPart[] {
  return [
    ...design.bodies.map((body) => bodyPart(body, design)),
    ...design.dragItems.map(itemPart),
    ...design.wheels.flatMap((wheel) => wheelPart(wheel, design)),
    ...design.surfaces.flatMap(hornParts),
    ...design.massItems.flatMap(equipmentPart),
    ...design.surfaces.flatMap((surface) => junctionPart(surface, design)),
  ];
}

const sidesOf = ({ mirrored }: { readonly mirrored: boolean }): number => (mirrored ? 2 : 1);

function bodyPart(body: Body, design: Design): DragPart {
  const [x, y, z] = vectorFromPoint(body.position);
  const middle = body.frames.reduce((sum, { top, bottom }) => sum + (top + bottom) / 2, 0) / body.frames.length;
  return {
    id: body.id,
    kind: 'body',
    area: (body.kind === 'plank' ? plankArea(body, design) : BODY_DRAG[body.kind] * frontal(body)) * sidesOf(body),
    place: [x, y, z + metresFromMillimetres(middle)],
  };
}

const frontal = ({ frames }: Body): SquareMetres =>
  Math.max(
    ...frames.map(({ width, top, bottom }) => metresFromMillimetres(width) * metresFromMillimetres(top - bottom)),
  );

/** A board on edge rubs on both sides and is blunt before and behind: a flat plate of its length and height. */
function plankArea({ frames }: Body, { conditions }: Design): SquareMetres {
  const length = frames.at(-1)!.x - frames[0]!.x;
  const thickness = Math.max(...frames.map(({ width }) => width));
  let side = 0;
  frames.slice(1).forEach((b, index) => {
    const a = frames[index]!;
    side += ((b.x - a.x) * (a.top - a.bottom + b.top - b.bottom)) / 2;
  });
  const air = airAt(conditions.elevation, conditions.temperature);
  const plate = { kind: 'flatPlate', thickness: Math.max(1, thickness), edge: 'square' } as const;
  const reynolds = (air.density * conditions.cruiseSpeed * metresFromMillimetres(length)) / air.viscosity;
  return (
    squareMetresFromSquareMillimetres(side) * sectionDataOf('flatPlate', shapeOf(plate, length), reynolds).leastDrag
  );
}

function itemPart(item: DragItem): DragPart {
  const { form } = item;
  const area = form ? FORM_DRAG[form.shape] * form.width * form.height : item.dragArea;
  return {
    id: item.id,
    kind: 'item',
    area: squareMetresFromSquareMillimetres(area) * sidesOf(item),
    place: vectorFromPoint(item.position),
  };
}

/** A wheel and the leg from its axle to the nearest fuselage; nothing when it is drawn in. */
function wheelPart(wheel: Wheel, design: Design): DragPart[] {
  if (wheel.retracts) return [];
  const { diameter, legDiameter, position } = wheel;
  const width = wheel.width ?? USUAL_WIDTH * diameter;
  const leg = legLength(wheel, design);
  return [
    {
      id: wheel.id,
      kind: 'wheel',
      area:
        squareMetresFromSquareMillimetres(WHEEL_DRAG * diameter * width + FORM_DRAG.bar * legDiameter * leg) *
        sidesOf(wheel),
      place: vectorFromPoint({ ...position, z: position.z + leg / 3 }),
    },
  ];
}

/** From the axle up to the lower edge of the nearest fuselage, or to the datum where there is none [mm]. */
function legLength({ position }: Wheel, { bodies }: Design): number {
  const ends = bodies.flatMap(({ frames, position: at }) =>
    frames.map(({ x, width, bottom }) => [
      Math.abs(at.x + x - position.x),
      Math.hypot(Math.max(0, Math.abs(position.y - at.y) - width / 2), Math.max(0, at.z + bottom - position.z)),
    ]),
  );
  const nearest = ends.toSorted((a, b) => a[0]! - b[0]!)[0];
  return nearest ? nearest[1]! : Math.max(0, -position.z);
}

/** Horns of the controls whose linkage is known, at the hinge of each. */
function hornParts(surface: Surface): DragPart[] {
  return surface.controls.flatMap(({ id, servo, hingeInboard }) => {
    if (!servo) return [];
    const root = surface.stations[0]!;
    const { x, y, z } = surface.position;
    return [
      {
        id,
        kind: 'linkage' as const,
        area: squareMetresFromSquareMillimetres(FORM_DRAG.bar * HORN_WIDTH * servo.horn) * sidesOf(surface),
        place: vectorFromPoint({ x: x + hingeInboard * root.chord, y, z: z - servo.horn / 2 }),
      },
    ];
  });
}

/** Equipment that stands out in the wind, by the face that meets it. */
function equipmentPart(item: Design['massItems'][number]): DragPart[] {
  if (!item.inWind) return [];
  const width = item.size && item.size.width > 0 ? item.size.width : USUAL_BOX.width;
  const height = item.size && item.size.height > 0 ? item.size.height : USUAL_BOX.height;
  return [
    {
      id: item.id,
      kind: 'equipment',
      area: squareMetresFromSquareMillimetres(FORM_DRAG.box * width * height) * sidesOf(item),
      place: vectorFromPoint(item.position),
    },
  ];
}

/**
 * What a thick root adds in the corner with a fuselage when nothing rounds it
 * out: (0.8 (t/c)³ − 0.0003) c² on each side, none below. Source: Hoerner,
 * Fluid-Dynamic Drag, 1965, ch. 8; ±50 %.
 */
function junctionPart(surface: Surface, { bodies }: Design): DragPart[] {
  const { position, filleted, stations } = surface;
  const { section, chord } = stations[0]!;
  const meets = bodies.some(({ frames, position: at }) => {
    const middle = position.x + chord / 2 - at.x;
    const after = frames.findIndex(({ x }) => x >= middle);
    if (after <= 0) return false;
    const { width, top, bottom } = frames[after]!;
    const [low, high] = [at.z + bottom - CORNER, at.z + top + CORNER];
    return position.z >= low && position.z <= high && Math.abs(position.y - at.y) <= width / 2 + CORNER;
  });
  if (filleted || !meets) return [];
  const { thicknessRatio } = shapeOf(section, chord);
  const perCorner = Math.max(0, 0.8 * thicknessRatio ** 3 - 0.0003) * chord ** 2;
  return perCorner === 0
    ? []
    : [
        {
          id: surface.id,
          kind: 'junction',
          area: squareMetresFromSquareMillimetres(perCorner) * sidesOf(surface),
          place: vectorFromPoint({ ...position, x: position.x + chord / 2 }),
        },
      ];
}

/** A root this near a fuselage meets it [mm]. */
const CORNER = 10;
