import { arcOf, type Path, pieces, type Point } from './path';

/** Where a point of the path comes to lie, how much larger it is there, and whether it is a mirror image. */
export interface Paper {
  readonly place: (point: Point) => Point;
  readonly scale: number;
  /** True where y points down, as on a screen. */
  readonly isMirrored: boolean;
}

const SAME: Paper = { place: (point) => point, scale: 1, isMirrored: false };

/** To two decimals: plain rounding, as a drawing is written anew at every step of a drag. */
const written = (value: number): number => Math.round(value * 100) / 100;

/** A path in the language of scalable vector graphics, arcs as arcs. */
export function svgPath(path: Path, { place, scale, isMirrored }: Paper = SAME): string {
  const first = path.vertices[0];
  if (!first) return '';
  const at = (x: number, y: number) => {
    const [right, up] = place([x, y]);
    return `${written(right)} ${written(up)}`;
  };
  const steps = pieces(path).map((piece) => {
    const end = at(piece.b.x, piece.b.y);
    const arc = arcOf(piece);
    if (!arc) return `L${end}`;
    const radius = written(arc.radius * scale);
    const large = Math.abs(arc.turn) > Math.PI ? 1 : 0;
    const sweep = arc.turn > 0 !== isMirrored ? 1 : 0;
    return `A${radius} ${radius} 0 ${large} ${sweep} ${end}`;
  });
  return `M${at(first.x, first.y)} ${steps.join(' ')}${path.isClosed ? ' Z' : ''}`;
}
