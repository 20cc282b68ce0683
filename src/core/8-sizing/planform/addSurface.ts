import { millimetresFromMetres, squareMillimetresFromSquareMetres } from '@/core/1-base/units/convert';
import type { Design, DesignInput } from '@/core/2-document/schema/design';
import { type Surface, surfaceSchema } from '@/core/2-document/schema/surface';
import { plainDesign } from '@/core/2-document/starts';
import { placeAll, placeSurface } from '@/core/3-shape/geometry/layout';
import { referenceOf } from '@/core/3-shape/geometry/planform';
import { type TailPlan, tailSurfaces } from '../drawTail';
import type { TailForm } from '../recipe';

/** What can be added to a design. */
export const ADDED_KINDS = [
  'wing',
  'secondWing',
  'tailplane',
  'fin',
  'vTail',
  'canard',
  'tipFins',
  'fixedStabiliser',
] as const;
export type AddedKind = (typeof ADDED_KINDS)[number];

/** Arm over mean chord, level and upright tail volume of each kind, to be drawn into shape afterwards. */
const TAILS: Readonly<Record<Exclude<AddedKind, 'wing' | 'secondWing'>, readonly [TailForm, number, number, number]>> =
  {
    tailplane: ['tailplane', 2.6, 0.5, 0.035],
    fin: ['tailplane', 2.6, 0.5, 0.035],
    vTail: ['vTail', 2.6, 0.5, 0.035],
    canard: ['canard', -2.6, 0.6, 0.04],
    tipFins: ['tipFins', 1, 0, 0.03],
    fixedStabiliser: ['tailplane', 1.5, 0.2, 0.03],
  };

type SurfaceInput = NonNullable<DesignInput['surfaces']>[number];

/** An identifier that neither the list nor anything else in it uses. */
function freshId(wanted: string, taken: ReadonlySet<string>): string {
  let id = wanted;
  for (let number = 2; taken.has(id); number++) id = `${wanted}${number}`;
  return id;
}

function withFreshIds(surface: Surface, design: Design): Surface {
  const surfaces = new Set(design.surfaces.map(({ id }) => id));
  const controls = new Set(design.surfaces.flatMap(({ controls: all }) => all.map(({ id }) => id)));
  const id = freshId(surface.id, surfaces);
  const number = id.slice(surface.id.length);
  return {
    ...surface,
    id,
    name: number === '' ? surface.name : `${surface.name} ${number}`,
    controls: surface.controls.map((control) => ({ ...control, id: freshId(control.id, controls) })),
    spars: surface.spars.map((spar) => ({ ...spar, id: freshId(spar.id, new Set()) })),
  };
}

/** An upright board lies in another one wherever it is moved up to: it goes aft, or inboard if it is one of a pair [°]. */
const UPRIGHT = 45;

/** Moved until it does not lie in another one: two in one place cannot be computed. */
function clearOf(design: Design, surface: Surface): Surface {
  const [root] = surface.stations;
  const isUpright = Math.abs(root!.dihedral) > UPRIGHT;
  const length = Math.max(...surface.stations.map(({ leadingEdgeOffset, chord }) => leadingEdgeOffset + chord));
  const step = isUpright ? Math.ceil(length) + 10 : Math.max(30, root!.chord / 2);
  let { x, y, z } = surface.position;
  const meets = () =>
    design.surfaces.some(
      ({ mirrored, position }) =>
        mirrored === surface.mirrored &&
        Math.abs(position.x - x) < step &&
        Math.abs(position.z - z) < step / 2 &&
        Math.abs(position.y - y) < step,
    );
  while (meets()) {
    if (!isUpright) z += step;
    else if (surface.mirrored && y > step) y -= step;
    else x += step;
  }
  return { ...surface, position: { x, y, z } };
}

/** A surface of a kind in a usual size and place for the wing that is there. @throws RangeError when a tail is asked for before a wing */
export function addedSurface(design: Design, kind: AddedKind): Surface {
  const material = design.materials[0]?.id;
  const built = (surface: SurfaceInput): Surface =>
    withFreshIds(
      clearOf(
        design,
        surfaceSchema.parse({
          ...surface,
          construction: material === undefined ? undefined : { material, countedBy: 'parts' },
        }),
      ),
      design,
    );
  const wing = design.surfaces.find(({ role }) => role === 'wing');
  const reference = referenceOf(placeAll(design.surfaces));
  if (!wing || !reference) {
    if (kind !== 'wing') throw new RangeError('Draw a wing first: tails are sized against it.');
    const plain = plainDesign('Plain').surfaces[0]!;
    return built(plain);
  }
  if (kind === 'wing') return built(plainDesign('Plain').surfaces[0]!);
  if (kind === 'secondWing') return built(secondWing(wing));
  const [tail, armOverChord, horizontalVolume, verticalVolume] = TAILS[kind];
  const placed = placeSurface(wing);
  const tip = placed.stations.at(-1)!;
  const plan: TailPlan = {
    recipe: { tail, horizontalVolume, verticalVolume },
    wing: {
      span: millimetresFromMetres(reference.span),
      rootChord: wing.stations[0]!.chord,
      tipChord: wing.stations.at(-1)!.chord,
      meanChord: millimetresFromMetres(reference.meanChord),
    },
    area: squareMillimetresFromSquareMetres(reference.area),
    board: design.materials[0]?.thickness ?? 5,
    material: material ?? 'board',
    wingX: millimetresFromMetres(reference.meanChordLeadingEdge),
    arm: millimetresFromMetres(armOverChord * reference.meanChord),
    incidence: 0,
    wingTip: {
      x: millimetresFromMetres(tip.x),
      y: millimetresFromMetres(tip.y),
      z: millimetresFromMetres(tip.z),
      chord: millimetresFromMetres(tip.chord),
    },
  };
  const drawn = tailSurfaces(plan);
  const role = kind === 'tipFins' ? 'tipFin' : kind === 'fixedStabiliser' ? 'tailplane' : kind;
  const one = drawn.find((surface) => surface.role === role)!;
  return built(kind === 'fixedStabiliser' ? { ...one, id: 'stabiliser', name: 'Fixed stabiliser', controls: [] } : one);
}

/** The same wing again, half a chord behind and a chord below: the usual stagger and gap of a biplane. */
function secondWing(wing: Surface): Surface {
  const chord = wing.stations[0]!.chord;
  return {
    ...wing,
    id: 'secondWing',
    name: 'Second wing',
    role: 'secondWing',
    position: {
      ...wing.position,
      x: Math.round(wing.position.x + chord / 2),
      z: Math.round(wing.position.z - chord),
    },
    asBuilt: undefined,
    measuredMass: undefined,
  };
}
