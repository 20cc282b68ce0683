import type { Millimetres } from '@/core/1-base/units/convert';
import { areaOfPart, boundsOfPart, insideOf, type PartOutline } from '@/core/3-shape/outline/partOutline';
import { circle, type Path, type Point, rectangle, reversed } from '@/core/3-shape/outline/path';
import type { CutPart, PartKind } from './part';
import { anticlockwise, roomWithin, strip } from './polygons';

/** What lightening holes are cut in: the board of the surface itself, no spars and braces. */
const LIGHTENED: ReadonlySet<PartKind> = new Set(['plate', 'skin', 'rib']);
/** Radii that are tried, large ones first: few holes are cut sooner [mm]. */
const RADII = [45, 35, 27, 21, 16, 12, 9, 7, 5.5, 4] as const;
/** Board that stays round every hole and beside what is scored, bent, let in or written [mm]. */
const WEB: Millimetres = 6;
/** More holes than that in one part nobody cuts. */
const MOST_HOLES = 400;
/** Letters are about half as wide as they are tall. */
const LETTER = 0.55;

export interface Lightened {
  readonly parts: readonly CutPart[];
  /** Share of the board that the holes take; less than asked where no more fit. */
  readonly share: number;
}

/** Parts of a surface with round holes that take a share of its board; what has no room for them keeps all of its own. @param share from 0 to less than 1 */
export function lightened(parts: readonly CutPart[], share: number): Lightened {
  if (share <= 0) return { parts, share: 0 };
  let [before, after] = [0, 0];
  const bored = parts.map((part) => {
    if (!LIGHTENED.has(part.kind)) return part;
    const whole = areaOfPart(part.outline);
    const holes = holesFor(part.outline, share * whole);
    const outline = { ...part.outline, holes: [...part.outline.holes, ...holes] };
    before += whole * part.count;
    after += areaOfPart(outline) * part.count;
    return { ...part, outline };
  });
  return { parts: bored, share: before > 0 ? 1 - after / before : 0 };
}

/** Holes of one size in rows that take an area [mm²], or as much of it as fits. */
function holesFor(outline: PartOutline, wanted: number): Path[] {
  const obstacles = [
    ...outline.holes.map(anticlockwise),
    ...outline.lines.flatMap(({ path }) => strip(path, WEB / 2)),
    ...outline.texts
      .filter(({ turn }) => turn === 0)
      .map(({ words, at: [x, y], height }) => rectangle(x, y, x + LETTER * height * words.length, y + height)),
  ];
  // So small that more would be needed than anyone cuts they are not tried.
  const least = Math.sqrt(Math.abs(areaOfPart(outline)) / MOST_HOLES) / 2 - WEB / 2;
  const radii = RADII.filter((radius) => radius >= least);
  let best: { readonly middles: readonly Point[]; readonly radius: Millimetres; readonly area: number } | null = null;
  for (const radius of radii.length > 0 ? radii : [least]) {
    const middles = middlesOf(outline, obstacles, radius);
    const area = middles.length * Math.PI * radius ** 2;
    if (!best || area > best.area) best = { middles, radius, area };
    if (area >= wanted) break;
  }
  if (!best) return [];
  const radius = best.radius * Math.sqrt(Math.min(1, wanted / best.area));
  return best.middles.map((at) => reversed(circle(at, radius)));
}

/** Rows that stand in each other’s gaps, as many as have room. */
function middlesOf(outline: PartOutline, obstacles: readonly Path[], radius: Millimetres): Point[] {
  const room = roomWithin(outline.edge, obstacles, radius + WEB);
  if (room.length === 0) return [];
  const within = room.map(insideOf);
  const { left, right, bottom, top } = boundsOfPart(outline);
  const pitch = 2 * radius + WEB;
  const rise = (pitch * Math.sqrt(3)) / 2;
  const rows = Math.floor((top - bottom) / rise);
  // From the middle of the part outwards, so that both edges keep alike.
  const middle = (bottom + top) / 2;
  return Array.from({ length: rows + 1 }, (_, row) => row - Math.floor(rows / 2)).flatMap((row) => {
    const shift = Math.abs(row) % 2 === 1 ? pitch / 2 : 0;
    const columns = Math.floor((right - left) / pitch) + 1;
    return Array.from({ length: columns }, (_, column): Point => [
      left + shift + radius + WEB + column * pitch,
      middle + row * rise,
    ]).filter((at) => within.filter((isIn) => isIn(at)).length % 2 === 1);
  });
}
