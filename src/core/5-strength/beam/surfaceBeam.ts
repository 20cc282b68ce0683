import type { Metres, Vector3 } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import { developedLength, panelAt, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { type BuiltSection, sectionAt } from '../section/sectionAt';
import type { SectionPlace, SurfaceStuff } from '../section/surfaceStuff';
import type { Beam, Stretch } from './stretch';
import { cross, minus, plus, times, unit } from '@/core/1-base/numeric/vectors';

/** A surface as a beam from its root, with the sections of its stretches. */
export interface SurfaceBeam extends Beam {
  readonly surface: PlacedSurface;
  readonly sections: readonly BuiltSection[];
  readonly places: readonly SectionPlace[];
}

/** Stretches of a wing and of other surfaces, about; more where rods, controls and bends end. */
const STRETCHES = { wing: 7, other: 3 } as const;
/** Most bends near the root: there they are shortest, and at the tip so many times as long. */
const LENGTHENS = 2.5;
/** Of a wing at least one for each time that the chord becomes smaller by the factor e to that: what a section bears falls with its square. */
const MOST_TAPER = 0.12;
/** Marks nearer than this share of the span are one. */
const NEAREST = 1e-3;

/** Ends of stretches, from the root outwards [m]: bends, ends of rods and controls, and steps between. */
export function marksAlong({ surface, rods }: Pick<SurfaceStuff, 'surface' | 'rods'>): Metres[] {
  const length = developedLength(surface);
  const own = [
    ...surface.stations.map(({ distance }) => distance),
    ...rods.flatMap(({ from, to }) => [from, to]),
    ...surface.source.controls.flatMap(({ from, to }) => [from * length, to * length]),
  ].filter((place) => place > 0 && place < length);
  const marks = [0, ...own, length].sort((a, b) => a - b);
  const apart = marks.filter((mark, index) => index === 0 || mark - marks[index - 1]! > NEAREST * length);
  // The tip stays where it is.
  apart[apart.length - 1] = length;
  const most = STRETCHES[isWing(surface.source) ? 'wing' : 'other'];
  const stretchesTo = (mark: Metres) => (most * Math.log1p(((LENGTHENS - 1) * mark) / length)) / Math.log(LENGTHENS);
  const placeAfter = (stretches: number): Metres => (length * (LENGTHENS ** (stretches / most) - 1)) / (LENGTHENS - 1);
  return apart.flatMap((mark, index) => {
    const next = apart[index + 1];
    if (next === undefined) return [mark];
    const [from, to] = [stretchesTo(mark), stretchesTo(next)];
    const tapers = isWing(surface.source)
      ? Math.abs(Math.log(planformAt(surface, next).chord / planformAt(surface, mark).chord))
      : 0;
    const parts = Math.max(1, Math.round(to - from), Math.ceil(tapers / MOST_TAPER));
    return Array.from({ length: parts }, (_, part) =>
      part === 0 ? mark : placeAfter(from + ((to - from) * part) / parts),
    );
  });
}

/** Where the chord is cut by the hinge of a control at a place; 1 where there is none. What turns as a whole is not cut. */
export function cutAt({ source }: PlacedSurface, share: number): number {
  let least = 1;
  for (const { from, to, hingeInboard, hingeOutboard, allMoving } of source.controls) {
    if (allMoving || share < from || share > to) continue;
    least = Math.min(least, hingeInboard + ((hingeOutboard - hingeInboard) * (share - from)) / (to - from));
  }
  return Math.max(0.1, least);
}

/** Share of the chord at which the line of the beam is drawn: about where sections turn. */
const LINE = 0.4;

/** Lays a surface out as a beam along its own line, its sections square to it. */
export function surfaceBeam(stuff: SurfaceStuff): SurfaceBeam {
  const { surface } = stuff;
  const length = developedLength(surface);
  const marks = marksAlong(stuff);
  const root = surface.stations[0]!;
  const onLine = (place: Metres): Vector3 => {
    const { x, y, z, chord } = planformAt(surface, place);
    return [x + LINE * chord, y, z];
  };
  const stretches: Stretch[] = [];
  const sections: BuiltSection[] = [];
  const places: SectionPlace[] = [];
  for (let index = 0; index + 1 < marks.length; index++) {
    const [from, to] = [marks[index]!, marks[index + 1]!];
    const middle = (from + to) / 2;
    const [inner, outer] = [onLine(from), onLine(to)];
    const along = unit(minus(outer, inner));
    const [a, b] = [surface.stations[panelAt(surface, middle)]!, surface.stations[panelAt(surface, middle) + 1]!];
    const up = upOf(a, b);
    const aft = unit(cross(along, up));
    const { panel, within, chord, x, y, z } = planformAt(surface, middle);
    const place: SectionPlace = {
      panel,
      within,
      distance: middle,
      chord,
      edge: x - root.x,
      cutAt: cutAt(surface, middle / length),
      cosine: Math.max(0.3, Math.abs(aft[0])),
    };
    const section = sectionAt(stuff, place);
    const centre: Vector3 = plus([x + section.axis, y, z], times(up, section.height));
    stretches.push({
      from,
      to,
      inner,
      outer,
      along,
      aft,
      up,
      whole: section.whole,
      twist: section.twist,
      shear: section.shear,
      shearStrength: section.shearStrength,
      centre,
    });
    sections.push(section);
    places.push(place);
  }
  return { surface, stretches, sections, places };
}

/** Normal of a panel, to its upper side: square to the board and to the flight direction. */
function upOf(a: { readonly y: number; readonly z: number }, b: { readonly y: number; readonly z: number }): Vector3 {
  const [dy, dz] = [b.y - a.y, b.z - a.z];
  const length = Math.hypot(dy, dz);
  return [0, -dz / length, dy / length];
}
