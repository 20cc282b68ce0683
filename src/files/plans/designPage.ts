import type { jsPDF } from 'jspdf';
import type { Analysis } from '@/core/analyse';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { type PlacedSurface, placeAll } from '@/core/3-shape/geometry/layout';
import { contourOf } from '@/core/3-shape/section/contour';
import { flattened, mirrored, type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import { bodyPlan, bodySide, planOutline, sideOutline } from '@/core/3-shape/outline/views';
import { type DisplayUnits, formatLength, formatValue, sentence } from '@/words/formatQuantity';
import { bytesOf, newDocument } from './page';

/** A4 upright [mm]. */
const PAGE = [210, 297] as const;
const MARGIN = 12;
const POINTS = { title: 14, head: 10, text: 8.5 } as const;
const LINE = 4.4;
const TOLERANCE = 0.5;

/** One page with plan and side view, balance, angles, throws, weights, speeds and what to watch. */
export function designPage(
  design: Design,
  analysis: Analysis,
  { units, title }: { readonly units: DisplayUnits; readonly title: string },
): Uint8Array {
  const pdf = newDocument();
  pdf.addPage([...PAGE], 'portrait');
  pdf.setTextColor('#000000');
  pdf.setFontSize(POINTS.title);
  pdf.text(design.name, MARGIN, 18);
  pdf.setFontSize(POINTS.text);
  pdf.text(title, MARGIN, 23);
  const foot = views(pdf, design, analysis, [MARGIN, 28]);
  const left = block(pdf, 'Balance and weight', balanceLines(design, analysis, units), [MARGIN, foot + 8]);
  block(pdf, 'Speeds', speedLines(analysis, units), [MARGIN, left + 5]);
  const right = block(pdf, 'Angles to read, datum level', angleLines(analysis, units), [PAGE[0] / 2, foot + 8]);
  const throws = block(pdf, 'Throws', throwLines(design), [PAGE[0] / 2, right + 5]);
  const cautions = analysis.findings
    .filter(({ severity }) => severity !== 'note')
    .map(({ message }) => sentence(message, units));
  block(pdf, 'What to watch', cautions.length > 0 ? cautions : ['Nothing stands out in what was computed.'], [
    PAGE[0] / 2,
    throws + 5,
  ]);
  pdf.setFontSize(POINTS.text);
  pdf.text(
    'Computed, not certified: build straight, check the balance, follow your club and your country.',
    MARGIN,
    PAGE[1] - 8,
  );
  return bytesOf(pdf);
}

/** Seen from ahead, y to the left of the page as the pilot sees the right wing: boards with their thickness, bodies at their widest frame. */
function frontOutlines(design: Design, placed: readonly PlacedSurface[]): Path[] {
  const boards = placed.flatMap(({ stations, mirrored: isPair }): Path[] => {
    const rows = stations.map(({ y, z, chord, section }) => {
      const { upper, lower } = contourOf(section, millimetresFromMetres(chord));
      const half = (millimetresFromMetres(chord) * (Math.max(...upper) - Math.min(...lower))) / 2;
      return [millimetresFromMetres(y), millimetresFromMetres(z), half] as const;
    });
    const [first, last] = [rows[0]!, rows.at(-1)!];
    // Thickness stands square to the board.
    const lean = Math.atan2(last[1] - first[1], last[0] - first[0]);
    const edge = (side: 1 | -1) =>
      rows.map(([y, z, half]): Point => [y - side * half * Math.sin(lean), z + side * half * Math.cos(lean)]);
    const right = polygon([...edge(1), ...edge(-1).toReversed()]);
    return isPair ? [right, flippedAcross(right)] : [right];
  });
  const bodies = design.bodies.flatMap(({ frames, position, mirrored: isPair }): Path[] => {
    const half = Math.max(...frames.map(({ width }) => width)) / 2;
    const [top, bottom] = [Math.max(...frames.map((one) => one.top)), Math.min(...frames.map((one) => one.bottom))];
    const box = polygon([
      [position.y - half, position.z + bottom],
      [position.y + half, position.z + bottom],
      [position.y + half, position.z + top],
      [position.y - half, position.z + top],
    ]);
    return isPair ? [box, flippedAcross(box)] : [box];
  });
  return [...boards, ...bodies];
}

const flippedAcross = ({ vertices, ...rest }: Path): Path => ({
  ...rest,
  vertices: vertices.map(({ x, ...vertex }) => ({ ...vertex, x: -x })),
});

/** Plan above, front below it, then the side, all of one scale; balance point and window in the plan. @returns lower edge [mm] */
function views(pdf: jsPDF, design: Design, { mass, window }: Analysis, [x0, y0]: Point): number {
  const placed = placeAll(design.surfaces);
  const plan = placed.flatMap((surface): Path[] => {
    const half = planOutline(surface);
    return half ? (surface.mirrored ? [half, mirrored(half)] : [half]) : [];
  });
  const bodies = design.bodies.map((body) => ({ plan: bodyPlan(body), side: bodySide(body) }));
  const side = [...placed.flatMap((surface) => sideOutline(surface, 1)), ...bodies.map((body) => body.side)];
  const above = [...plan, ...bodies.map((body) => body.plan)];
  const points = above.flatMap((path) => flattened(path, TOLERANCE));
  const heights = side.flatMap((path) => flattened(path, TOLERANCE));
  if (points.length === 0) return y0;
  const span = (values: readonly number[]) => [Math.min(...values), Math.max(...values)] as const;
  const [front, rear] = span([...points, ...heights].map(([x]) => x));
  const [port, starboard] = span(points.map(([, y]) => y));
  const [low, high] = heights.length > 0 ? span(heights.map(([, z]) => z)) : ([0, 0] as const);
  const wide = PAGE[0] - 2 * MARGIN;
  const scale = Math.min(wide / (starboard - port), 150 / (rear - front + 2 * (high - low) + 45));
  const middle = x0 + wide / 2;
  // Nose up on the page: across is y, down is x.
  draw(pdf, above, ([x, y]) => [middle + (y - (port + starboard) / 2) * scale, y0 + (x - front) * scale]);
  const x = (at: number) => y0 + (millimetresFromMetres(at) - front) * scale;
  if (mass.cg) {
    pdf.setFillColor('#0f6b62');
    pdf.circle(middle, x(mass.cg[0]), 1.4, 'F');
  }
  if (window.forward !== null && window.aft !== null) {
    pdf.setDrawColor('#0f6b62');
    pdf.rect(middle - 3, x(window.forward), 6, x(window.aft) - x(window.forward), 'S');
  }
  const ahead = y0 + (rear - front) * scale + 6;
  draw(pdf, frontOutlines(design, placed), ([y, z]) => [
    middle + (y - (port + starboard) / 2) * scale,
    ahead + (high - z) * scale,
  ]);
  const floor = ahead + (high - low) * scale + 6;
  const across = Math.min(scale, wide / (rear - front));
  draw(pdf, side, ([along, z]) => [
    x0 + (wide - (rear - front) * across) / 2 + (along - front) * across,
    floor + (high - z) * across,
  ]);
  return floor + (high - low) * across;
}

function draw(pdf: jsPDF, paths: readonly Path[], place: (point: Point) => Point): void {
  pdf.setDrawColor('#222222');
  pdf.setLineWidth(0.25);
  for (const path of paths) {
    const points = flattened(path, TOLERANCE).map(place);
    points.forEach((point, index) => {
      const next = points[(index + 1) % points.length]!;
      pdf.line(point[0], point[1], next[0], next[1]);
    });
  }
}

/** A heading with its lines, broken to half the page. @returns lower edge [mm] */
function block(pdf: jsPDF, head: string, lines: readonly string[], [x, y]: Point): number {
  pdf.setFontSize(POINTS.head);
  pdf.text(head, x, y);
  pdf.setFontSize(POINTS.text);
  let down = y;
  for (const line of lines)
    for (const piece of pdf.splitTextToSize(line, PAGE[0] / 2 - MARGIN - 4) as string[]) {
      down += LINE;
      // What does not fit any more stands in the program.
      if (down < PAGE[1] - 14) pdf.text(piece, x, down);
    }
  return down + 2;
}

const told = (label: string, value: number | null, kind: UnitKind, units: DisplayUnits): string[] =>
  value === null ? [] : [`${label}: ${formatValue(value, kind, units)}`];

const balanceLines = (
  { massItems }: Design,
  { mass, window, pitch, reference }: Analysis,
  units: DisplayUnits,
): string[] => [
  ...told('Flying mass', mass.total, 'mass', units),
  ...told('Balances aft of the datum', mass.cg?.[0] ?? null, 'length', units),
  ...told('Window from', window.forward, 'length', units),
  ...told('to', window.aft, 'length', units),
  ...told('Static margin', pitch.staticMargin, 'percent', units),
  ...told('Span', reference.span, 'length', units),
  ...told('Wing area', reference.area, 'area', units),
  ...massItems
    .filter(({ category }) => category === 'battery')
    .map(({ name, id, position }) => `${name || id}: ${formatLength(position.x, units)} behind the datum`),
];

const speedLines = ({ speeds, power }: Analysis, units: DisplayUnits): string[] => [
  ...told('Stall', speeds.stall, 'speed', units),
  ...told('Approach', speeds.approach, 'speed', units),
  ...told('Best glide', speeds.bestGlide, 'speed', units),
  ...told('Climbs at most', power.climbRate, 'speed', units),
  ...told('Lasts at cruise', power.duration, 'time', units),
];

const angleLines = ({ rigging }: Analysis, units: DisplayUnits): string[] =>
  rigging.surfaces.flatMap(({ surface, faceReadingDrawn }) => told(surface, faceReadingDrawn, 'angle', units));

const throwLines = ({ surfaces }: Design): string[] =>
  surfaces.flatMap(({ controls }) =>
    controls.map(
      ({ name, id, throwUp, throwDown, neutral }) =>
        `${name || id}: ${throwUp}° up, ${throwDown}° down${neutral === 0 ? '' : `, stands at ${neutral}°`}`,
    ),
  );
