import {
  kilogramsPerMetre,
  metresFromMillimetres,
  millimetresFromMetres,
  type Metres,
  type Millimetres,
} from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { sliceAt } from '@/core/3-shape/geometry/bodySlice';
import { type Layup, layupOf, plateStiffness } from '../materials/board';
import { coveringOf } from '../materials/covering';
import { type Board, boardNamed } from '../materials/ownBoard';
import { rodMaterialOf, rodMember, type RodMember } from '../materials/rods';
import { composite, type Composite, type Fibre } from '../section/composite';
import { lengthAlong, type Piece, rodFibre, sheetFibres } from '../section/fibres';
import { type BuiltWall, stacked, twistStiffness } from '../section/torsion';

/** A body cut across, to the left and up from its middle line; as it bends and twists. SI. */
export interface BodySection {
  readonly whole: Composite;
  readonly twist: number;
  readonly shear: number;
  readonly shearStrength: number;
}

/** What a body is made of, worked out once; layups by how many layers lie on one another. */
export interface BodyStuff {
  readonly body: Body;
  readonly layup: (layers: number) => Layup | null;
  readonly rods: readonly (Body['rods'][number] & { readonly member: RodMember })[];
  readonly stick: RodMember | null;
  /** Sections that were worked out, by their place [mm]. */
  readonly sections: Map<number, BodySection | null>;
}

interface KnownStuff {
  readonly material: Board | undefined;
  readonly stuff: BodyStuff;
}

/** By the body as it is drawn. */
const known = new WeakMap<Body, KnownStuff>();

export function bodyStuff(body: Body, design: Pick<Design, 'materials' | 'figures'>): BodyStuff {
  const material = boardNamed(design, body.construction?.material);
  const before = known.get(body);
  if (before && before.material === material) return before.stuff;
  const stuff = workedOut(body, material);
  known.set(body, { material, stuff });
  return stuff;
}

function workedOut(body: Body, sheet: Board | undefined): BodyStuff {
  const { construction } = body;
  const material = construction?.truss ? undefined : sheet;
  const layups = new Map<number, Layup>();
  const one = material ? layupOf(material, material.thickness, null) : null;
  const covering = material && construction ? coveringOf(construction, outsideOf(body)) : null;
  const covered = material ? layupOf(material, material.thickness, covering) : null;
  return {
    body,
    layup: (layers) => {
      if (!one || !covered) return null;
      const made = layups.get(layers) ?? Array.from({ length: layers - 1 }, () => one).reduce(stacked, covered);
      layups.set(layers, made);
      return made;
    },
    rods: body.rods.map((rod) => ({ ...rod, member: rodMember(rod) })),
    sections: new Map(),
    stick: construction?.truss ? stickOf(construction.truss.stickDensity) : null,
  };
}

/** Both faces of all walls, about [m²]. */
function outsideOf({ frames, kind }: Body): number {
  let area = 0;
  frames.slice(1).forEach((b, index) => {
    const a = frames[index]!;
    const round = (frame: typeof a) =>
      kind === 'plank' ? frame.top - frame.bottom : 2 * (frame.width + frame.top - frame.bottom);
    area += metresFromMillimetres(b.x - a.x) * metresFromMillimetres((round(a) + round(b)) / 2);
  });
  return 2 * Math.max(area, 1e-6);
}

/** A square stick of so much mass a metre, of the softest wood sticks are made of. */
function stickOf(density: number): RodMember {
  const pine = rodMaterialOf({ name: '', material: 'pine' });
  const side = millimetresFromMetres(Math.sqrt(kilogramsPerMetre(density) / pine.density));
  return rodMember({
    name: '',
    material: 'pine',
    shape: 'rectangle',
    width: side,
    height: side,
    innerDiameter: 0,
    linearDensity: density,
  });
}

/** Points round a round shell. */
const ROUND = 24;

/** Sections that are kept of a body while what holds it is dragged. */
const MOST_KEPT = 256;

/** The section of a body at a place aft of the datum; null where it does not reach or nobody says what it is made of. */
export function bodySectionAt(stuff: BodyStuff, x: Millimetres): BodySection | null {
  const before = stuff.sections.get(x);
  if (before !== undefined) return before;
  const made = cutAcross(stuff, x);
  if (stuff.sections.size >= MOST_KEPT) stuff.sections.clear();
  stuff.sections.set(x, made);
  return made;
}

function cutAcross({ body, layup, rods, stick }: BodyStuff, x: Millimetres): BodySection | null {
  const slice = sliceAt(body, x);
  if (!slice) return null;
  const along = x - body.position.x;
  const half = metresFromMillimetres(slice.half);
  const [top, bottom] = [slice.top, slice.bottom].map((height) => metresFromMillimetres(height - body.position.z)) as [
    Metres,
    Metres,
  ];
  const layers = layersAt(body, along);
  const sheet = layup(body.construction?.layers ?? 1);
  const sides = layup(layers);
  const walls = sheet && sides ? wallsOf(body, { half, top, bottom }, sheet, sides) : [];
  const fibres: Fibre[] = [
    ...walls.flatMap(({ pieces, layup: own, place }) => pieces.flatMap((piece) => sheetFibres(piece, own, place))),
    ...rods.flatMap((rod) => {
      if (along < rod.from || along > rod.to) return [];
      const [y, z] = [metresFromMillimetres(rod.y), metresFromMillimetres(rod.z)];
      const one = rodFibre(rod.id, rod.member, -y, z);
      return rod.mirrored ? [one, { ...one, x: y }] : [one];
    }),
    ...(stick ? [-half, half].flatMap((y) => [top, bottom].map((z) => rodFibre('sticks', stick, y, z))) : []),
  ];
  if (fibres.length === 0) return null;
  const whole = composite(fibres);
  const rodTwist = rods
    .filter(({ from, to }) => along >= from && along <= to)
    .reduce((sum, { member, mirrored }) => sum + (mirrored ? 2 : 1) * member.solid.shear * member.torsionConstant, 0);
  const trussTwist = stick ? trussOf(body, stick, half, top - bottom) : 0;
  return { whole, twist: twistStiffness(walls) + rodTwist + trussTwist, ...shearOf(walls, rods, along) };
}

function layersAt({ construction }: Body, along: Millimetres): number {
  if (!construction) return 1;
  return construction.doublers.reduce(
    (sum, { from, to, layers }) => sum + (along >= from && along <= to ? layers : 0),
    construction.layers,
  );
}

interface Outline {
  readonly half: Metres;
  readonly top: Metres;
  readonly bottom: Metres;
}

/** Walls of a body within its outline: four of a box, one round, or one upright. */
function wallsOf({ kind }: Body, { half, top, bottom }: Outline, sheet: Layup, sides: Layup): BuiltWall[] {
  const height = top - bottom;
  if (kind === 'plank' || half < sides.thickness) {
    if (height <= 0) return [];
    return [
      {
        place: 0,
        layup: sides,
        inCell: false,
        pieces: piecesOf(
          [
            [0, bottom],
            [0, top],
          ],
          1,
        ),
      },
    ];
  }
  const inset = sheet.thickness / 2;
  const [w, up, down] = [half - sides.thickness / 2, top - inset, bottom + inset];
  if (w <= 0 || up <= down) return [];
  if (kind === 'round') {
    const points = Array.from({ length: ROUND + 1 }, (_, index): [number, number] => {
      const angle = (2 * Math.PI * index) / ROUND;
      return [w * Math.cos(angle), (up + down) / 2 + ((up - down) / 2) * Math.sin(angle)];
    });
    return [{ place: 0, layup: sheet, inCell: true, pieces: piecesOf(points, 1) }];
  }
  const corner: readonly (readonly [number, number])[] = [
    [w, down],
    [w, up],
    [-w, up],
    [-w, down],
    [w, down],
  ];
  return [0, 1, 2, 3].map((side) => ({
    place: side,
    layup: side % 2 === 0 ? sides : sheet,
    inCell: true,
    pieces: piecesOf([corner[side]!, corner[side + 1]!], 1),
  }));
}

function piecesOf(points: readonly (readonly [number, number])[], parts: number): Piece[] {
  return points.slice(1).flatMap((b, index) => {
    const a = points[index]!;
    const at = (part: number) =>
      [a[0] + ((b[0] - a[0]) * part) / parts, a[1] + ((b[1] - a[1]) * part) / parts] as const;
    return Array.from({ length: parts }, (_, part): Piece => ({ a: at(part), b: at(part + 1) }));
  });
}

/**
 * Four sticks hold twist by the diagonals of their bays: sides of bay b and
 * depth h shear as G t = E A_d b h/ℓ³ (Bruhn, Analysis and Design of Flight
 * Vehicle Structures, A8); without diagonals only the film does, little of it.
 */
function trussOf({ construction }: Body, { section, solid }: RodMember, half: Metres, height: Metres): number {
  const truss = construction?.truss;
  if (!truss || half <= 0 || height <= 0) return 0;
  const bay = metresFromMillimetres(truss.bay);
  const plane = (depth: number) => (solid.young * section.area * bay * depth) / Math.hypot(bay, depth) ** 3;
  const [side, top] = [plane(height), plane(2 * half)].map(
    (stiffness) => stiffness * (truss.diagonals ? 1 : WITHOUT_DIAGONALS),
  ) as [number, number];
  return (4 * (2 * half * height) ** 2) / ((2 * height) / side + (4 * half) / top);
}

/** Uprights without diagonals hold twist by the bending of their joints and the film, a few percent of what diagonals do; C, ±60 %. */
const WITHOUT_DIAGONALS = 0.05;

function shearOf(
  walls: readonly BuiltWall[],
  rods: BodyStuff['rods'],
  along: Millimetres,
): Pick<BodySection, 'shear' | 'shearStrength'> {
  let [shear, shearStrength] = [0, 0];
  for (const { pieces, layup } of walls) {
    const { plane } = plateStiffness(layup);
    for (const { a, b } of pieces) {
      const [dy, dz] = [b[0] - a[0], b[1] - a[1]];
      const length = lengthAlong(dy, dz);
      if (length === 0) continue;
      shear += (plane * dz ** 2) / length;
      for (const { solid, thickness } of layup.layers)
        shearStrength += (solid.tension * thickness * dz ** 2) / (2 * length);
    }
  }
  for (const { from, to, member } of rods) {
    if (along < from || along > to) continue;
    shear += 0.5 * member.solid.shear * member.section.area;
    shearStrength += 0.25 * member.solid.tension * member.section.area;
  }
  return { shear, shearStrength };
}
