import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import type { Design } from '@/core/2-document/schema/design';
import type { SectionOf } from '@/core/2-document/schema/section';
import { flattened, type Path, type Point } from '@/core/3-shape/outline/path';
import { contourOf } from '@/core/3-shape/section/contour';
import { allowancesOf } from './allowances';
import { cutListOf } from './cutList';
import type { Place3 } from './develop';
import { flatPieces } from './facets';
import { passingAt } from './kinds/sectionAtWall';
import { axesAt, onSection } from './kinds/surfaceSeat';
import type { CutPart } from './part';
import { placeIn, placeOnFacet } from './seat';

/*
 * Parts put together in space, each by its own outline and seat, and looked at
 * as they meet: nothing here is computed the way the outlines were.
 */
const together = (name: string) => {
  const design = demoDesign(name);
  const { parts } = cutListOf(design);
  return { design, parts };
};

const cornersOf = (part: CutPart, path: Path = part.outline.edge): Place3[] =>
  path.vertices.map(({ x, y }) => placeIn(part.seat!, [x, y]));

const boxesOf = (design: Design) =>
  design.bodies.filter(({ kind, construction }) => kind === 'box' && construction && !construction.truss);

const boardOf = (design: Design, material: string) => design.materials.find(({ id }) => id === material)!;

/** Distance of a place from a straight line through two others, seen from above. */
const besideLine = ([px, py]: Place3, [ax, ay]: Place3, [bx, by]: Place3): number =>
  ((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / Math.hypot(bx - ax, by - ay);

describe.each(DEMO_NAMES)('%s put together', (name) => {
  const { design, parts } = together(name);
  const ofKind = (owner: string, kind: CutPart['kind']) =>
    parts.filter((part) => part.owner === owner && part.kind === kind);

  test('sides stand on the outline of the body: every frame mark at its frame, in its width', () => {
    expect.hasAssertions();
    for (const body of design.bodies) expect(body.frames.length).toBeGreaterThan(1);
    for (const body of boxesOf(design)) {
      const [side] = ofKind(body.id, 'side');
      const wall = boardOf(design, side!.material).thickness * body.construction!.layers;
      const marks = side!.outline.lines.filter(({ kind }) => kind === 'mark');
      body.frames.slice(1, -1).forEach((frame, index) => {
        const [low, high] = cornersOf(side!, marks[index]!.path) as [Place3, Place3];
        expect(low[0]).toBeCloseTo(body.position.x + frame.x, 0);
        expect(Math.abs(low[1] - body.position.y - (frame.width - wall) / 2)).toBeLessThan(0.1 * wall);
        expect(low[2]).toBeCloseTo(body.position.z + frame.bottom, 6);
        expect(high[2]).toBeCloseTo(body.position.z + frame.top, 6);
      });
    }
  });

  test('top, bottom and hatch lie flush between the sides, formers stand clear of all four by their play', () => {
    expect.hasAssertions();
    expect(parts.length).toBeGreaterThan(0);
    for (const body of boxesOf(design)) {
      const [side] = ofKind(body.id, 'side');
      const sheet = boardOf(design, side!.material);
      const wall = sheet.thickness * body.construction!.layers;
      const { former } = allowancesOf(sheet);
      /** From a place to the inner face of the right side, square to it. */
      const toSide = (place: Place3): number => {
        const facet = side!.seat!.findLast(({ origin }) => place[0] >= origin[0] - 1e-6) ?? side!.seat![0];
        const far: Place3 = [
          facet.origin[0] + facet.along[0],
          facet.origin[1] + facet.along[1],
          facet.origin[2] + facet.along[2],
        ];
        return -besideLine(place, facet.origin, far) - wall / 2;
      };
      for (const lid of (['top', 'bottom', 'hatch'] as const).flatMap((kind) => ofKind(body.id, kind))) {
        // Corners of slots for fins lie farther in.
        const right = cornersOf(lid).filter((place) => place[1] > body.position.y + 2 && toSide(place) < 2);
        expect(right.length).toBeGreaterThan(1);
        // A wall that is bent inwards is thicker across by its slope: less than that.
        for (const place of right) expect(Math.abs(toSide(place)), `${lid.id}`).toBeLessThan(0.1 * wall);
      }
      const inDoubler = (x: number) => (body.construction?.doublers ?? []).some(({ from, to }) => x >= from && x <= to);
      for (const part of ofKind(body.id, 'former')) {
        const frame = body.frames[Number(part.id.split('-').at(-1)) - 1]!;
        if (inDoubler(frame.x)) continue;
        const corners = cornersOf(part);
        const halves = corners.map(([, y]) => Math.abs(y - body.position.y));
        expect(Math.max(...halves)).toBeCloseTo(frame.width / 2 - wall - former, 2);
        const heights = corners.map(([, , z]) => z - body.position.z);
        expect(Math.min(...heights)).toBeCloseTo(frame.bottom + wall + former, 2);
        expect(Math.max(...heights)).toBeCloseTo(frame.top - wall - former, 2);
        for (const [x] of corners)
          expect(Math.abs(x - body.position.x - frame.x)).toBeLessThanOrEqual(sheet.thickness / 2);
      }
    }
  });

  test('what runs through a wall has the stated play all round it, at its own incidence', () => {
    expect.hasAssertions();
    expect(design.surfaces.length).toBeGreaterThan(0);
    for (const body of boxesOf(design)) {
      const [side] = ofKind(body.id, 'side');
      const sheet = boardOf(design, side!.material);
      const { slot } = allowancesOf(sheet);
      const wall = sheet.thickness * body.construction!.layers;
      const widest = Math.max(...body.frames.map(({ width }) => width));
      const walls = [side!.outline.edge, ...side!.outline.holes.filter(({ vertices }) => vertices.length > 2)];
      const rim = walls.flatMap((path) => dense(path).map((point) => placeIn(side!.seat!, point)));
      for (const { edge, surface } of passingAt(design.surfaces, widest / 2)) {
        const section = dense(edge);
        const distances = rim.map(([x, , z]) => apart([x, z], section));
        const near = Math.min(...distances);
        // What does not pass this body is far from its walls.
        if (near > 3 * slot) continue;
        expect(near, `${surface.id} in ${body.id}`).toBeGreaterThan(slot - 0.06);
        // Where the body narrows, both faces of the wall have it.
        expect(near, `${surface.id} in ${body.id}`).toBeLessThan(slot + 0.5 * wall * steepest(body) + 0.06);
        // No bit of the wall lies within the section.
        expect(rim.filter(([x, , z]) => isWithin([x, z], section)).length).toBe(0);
      }
    }
  });

  test('spars stand on the lower skin from end to end and reach the upper one; ribs begin at the nose', () => {
    expect.hasAssertions();
    expect(parts.every(({ seat }) => seat === undefined || seat.length > 0)).toBe(true);
    for (const surface of design.surfaces) {
      const spars = parts.filter(({ owner, kind }) => owner === surface.id && kind === 'spar');
      for (const spar of spars.filter(({ seat }) => seat!.length === 1)) {
        const [inner, outer, top] = cornersOf(spar) as [Place3, Place3, Place3, Place3];
        const panel = Number(spar.id.split('-').at(-1)) - 1;
        const ends = surface.stations.slice(panel, panel + 2);
        const length = ends[1]!.distanceFromRoot - ends[0]!.distanceFromRoot;
        const across = Math.hypot(outer[1] - inner[1], outer[2] - inner[2]);
        expect(Math.abs(across - length)).toBeLessThan(1);
        const { section } = ends[1]!;
        if (section.kind === 'foldedOverSpar')
          expect(Math.hypot(top[0] - outer[0], top[1] - outer[1], top[2] - outer[2])).toBeCloseTo(
            section.sparHeight,
            6,
          );
      }
    }
  });
});

describe('what stands between the skins of a fold', () => {
  const { design, parts } = together('atoll-freighter');
  const wing = design.surfaces.find(({ id }) => id === 'wing')!;
  const { boardThickness: board } = wing.stations[0]!.section as SectionOf<'foldedOverSpar'>;
  const contour = (distance: number): Place3[] => {
    const next = wing.stations.findIndex((station, index) => index > 0 && station.distanceFromRoot >= distance - 1e-6);
    const [a, b] = [wing.stations[next - 1]!, wing.stations[next]!];
    const share = (distance - a.distanceFromRoot) / (b.distanceFromRoot - a.distanceFromRoot);
    const at = ({ section, chord, distanceFromRoot: y }: typeof a, panel: number): Place3[] => {
      const { x, upper, lower } = contourOf(section, chord);
      const axes = axesAt(wing, y, panel);
      return (['upper', 'lower'] as const).flatMap((face) =>
        Array.from(x, (place, index) => onSection(axes, place * chord, { upper, lower }[face][index]! * chord)),
      );
    };
    const [inner, outer] = [at(a, next - 1), at(b, next - 1)];
    return inner.map((point, index) => {
      const to = outer[index]!;
      return [0, 1, 2].map((axis) => point[axis]! + (to[axis]! - point[axis]!) * share) as unknown as Place3;
    });
  };

  test('webs of a folded spar and spacers are a board away from the outside of both skins, where they come nearest', () => {
    const channels = parts.filter(({ owner, kind, seat }) => owner === 'wing' && kind === 'spar' && seat!.length > 1);
    const spacers = parts.filter(({ kind }) => kind === 'spacer');
    expect(channels.length).toBeGreaterThan(0);
    expect(spacers.length).toBeGreaterThan(2);
    for (const part of [...channels, ...spacers]) {
      const corners = flatPieces(part.outline, part.seat!).flatMap(({ facet, edge }) =>
        flattened(edge, 0.05).map((point) => placeOnFacet(facet, point)),
      );
      // Slices of the wing about the corner: it leans with the dihedral.
      const gaps = corners.map((corner) => {
        const about = [-3, -2, -1, 0, 1, 2, 3].map((off) => Math.max(0, distanceOf(corner) + off));
        const skin = about.flatMap((distance) => contour(Math.min(wing.stations.at(-1)!.distanceFromRoot, distance)));
        return Math.min(...skin.map((point) => Math.hypot(...point.map((place, axis) => place - corner[axis]!))));
      });
      expect(Math.abs(Math.min(...gaps) - board), part.name).toBeLessThan(0.15);
    }
  });

  /** From the root along the wing to a corner, by its place across: panels in turn. */
  const distanceOf = ([, y]: Place3): number => {
    const [a, b, c] = wing.stations.map(
      ({ distanceFromRoot }, panel) => axesAt(wing, distanceFromRoot, Math.max(0, panel - 1)).nose[1],
    );
    const ends = wing.stations.map(({ distanceFromRoot }) => distanceFromRoot);
    const within = (from: number, to: number, low: number, high: number) =>
      low + ((y - from) / (to - from)) * (high - low);
    return y <= b! ? within(a!, b!, ends[0]!, ends[1]!) : within(b!, c!, ends[1]!, ends[2]!);
  };
});

/** How much the half width changes at most along a body. */
const steepest = ({ frames }: Design['bodies'][number]): number =>
  Math.max(
    ...frames.slice(1).map((b, index) => Math.abs(b.width - frames[index]!.width) / 2 / (b.x - frames[index]!.x)),
  );

/** Points along a path, none farther from the next than a millimetre. */
function dense(path: Path): Point[] {
  const corners = flattened(path, 0.01);
  return corners.flatMap((a, index) => {
    const b = corners[(index + 1) % corners.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1])));
    return Array.from({ length: steps }, (_, step): Point => [
      a[0] + ((b[0] - a[0]) * step) / steps,
      a[1] + ((b[1] - a[1]) * step) / steps,
    ]);
  });
}

/** Distance of a place from a dense row of points, along the straight bits between them. */
function apart([x, y]: Point, row: readonly Point[]): number {
  let least = Infinity;
  row.forEach(([ax, ay], index) => {
    const [bx, by] = row[(index + 1) % row.length]!;
    const square = (bx - ax) ** 2 + (by - ay) ** 2;
    const share = square > 0 ? Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square)) : 0;
    least = Math.min(least, Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay)));
  });
  return least;
}

const isWithin = ([x, y]: Point, row: readonly Point[]): boolean =>
  row.reduce((inside, [ax, ay], index) => {
    const [bx, by] = row[(index + 1) % row.length]!;
    return ay > y !== by > y && x < ax + ((y - ay) * (bx - ax)) / (by - ay) ? !inside : inside;
  }, false);
