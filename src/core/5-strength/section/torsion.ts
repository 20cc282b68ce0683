import type { Layup } from '../materials/board';
import { plateStiffness } from '../materials/board';
import type { Composite } from './composite';
import { lengthAlong, type Piece } from './fibres';

/** Pieces of a wall in order, and the sheet they are of. */
export interface BuiltWall {
  /** Place among the walls of the section. */
  readonly place: number;
  readonly pieces: readonly Piece[];
  readonly layup: Layup;
  /** One of those that close the cell, in the order in which they go round. */
  readonly inCell: boolean;
}

const lengthOf = ({ a, b }: Piece): number => lengthAlong(b[0] - a[0], b[1] - a[1]);
/** Twice the area that a piece sweeps about the origin, counted in its direction. */
const sweptBy = ({ a, b }: Piece): number => a[0] * b[1] - a[1] * b[0];

/**
 * Twist stiffness of a closed cell, 4 A_m²/∮ ds/(G t) [N·m²]. Source: Bredt
 * (1896); Megson, Aircraft Structures, ch. 18. A_m 26 cm², ∮ 0.4 m, G t 3.6·10⁵
 * N/m: 24.34 N·m².
 */
export function closedCell(area: number, flexibility: number): number {
  return flexibility > 0 ? (4 * area ** 2) / flexibility : 0;
}

/**
 * Twist stiffness of a flat strip of sheet, 4 D₆₆ c (1 − tanh x/x) with
 * x = (c/2) √(2 G_c/(G_f t_f t_c)): a soft core lets its faces slide at the
 * edges. Source: Allen, Structural Sandwich Panels, ch. 2; St Venant for D₆₆.
 */
export function openStrip(layup: Layup, width: number): number {
  const { twist } = plateStiffness(layup);
  const face =
    layup.layers.find(({ member }) => member === 'paper') ?? layup.layers.find(({ member }) => member === 'covering');
  const slide = face ? face.solid.shear * face.thickness * layup.coreThickness : 0;
  const kept = slide > 0 ? keptByCore((width / 2) * Math.sqrt((2 * layup.core.shear) / slide)) : 1;
  return 4 * twist * width * kept;
}

const keptByCore = (x: number): number => (x < 1e-3 ? x ** 2 / 3 : 1 - Math.tanh(x) / x);

/** Sheets whose middles lie nearer than so many of their thicknesses are glued flat on one another. */
const GLUED_FLAT = 1.2;

/** A wall as it lies: from its foremost to its rearmost point, its mean height, its length [m]. */
interface Lie {
  readonly wall: BuiltWall;
  readonly from: number;
  readonly to: number;
  readonly height: number;
  readonly width: number;
}

function lieOf(wall: BuiltWall): Lie {
  let [from, to, height, width] = [Infinity, -Infinity, 0, 0];
  for (const piece of wall.pieces) {
    const { a, b } = piece;
    from = Math.min(from, a[0], b[0]);
    to = Math.max(to, a[0], b[0]);
    height += (a[1] + b[1]) / 2;
    width += lengthOf(piece);
  }
  return { wall, from, to, height: height / Math.max(1, wall.pieces.length), width };
}

/** Twist of open walls: each by itself, or where they lie on one another, as one thicker sheet. */
function openWalls(walls: readonly BuiltWall[]): number {
  const lies = walls.map(lieOf);
  let sum = 0;
  const taken = new Set<Lie>();
  for (const lie of lies) {
    if (taken.has(lie)) continue;
    const { layup } = lie.wall;
    const over = lies.find(
      (other) =>
        other !== lie &&
        !taken.has(other) &&
        Math.abs(other.height - lie.height) < GLUED_FLAT * layup.thickness &&
        other.from < lie.to &&
        lie.from < other.to,
    );
    if (!over) {
      sum += openStrip(layup, lie.width);
      continue;
    }
    taken.add(over);
    const doubled = Math.min(over.to, lie.to) - Math.max(over.from, lie.from);
    sum += openStrip(stacked(layup, over.wall.layup), doubled) + openStrip(layup, Math.max(0, lie.width - doubled));
  }
  return sum;
}

/** Two sheets glued flat on one another. */
export function stacked(lower: Layup, upper: Layup): Layup {
  const rise = (lower.thickness + upper.thickness) / 2;
  return {
    ...lower,
    thickness: lower.thickness + upper.thickness,
    coreThickness: lower.coreThickness + upper.coreThickness,
    layers: [...lower.layers, ...upper.layers.map((layer) => ({ ...layer, height: layer.height + rise }))],
  };
}

/** Solid outline: 4 I/(1 + 16 I/(A U²)), I across, A area, U along its middle; exact for an ellipse. Source: Roark’s Formulas for Stress and Strain, 7th ed., table 10.7. */
export function solidOutline(shear: number, second: number, area: number, length: number): number {
  return area > 0 && length > 0 ? (4 * shear * second) / (1 + (16 * second) / (area * length ** 2)) : 0;
}

/** Twist stiffness of all walls together [N·m²]. */
export function twistStiffness(walls: readonly BuiltWall[]): number {
  const cell = walls.filter(({ inCell }) => inCell);
  let [swept, flexibility, alongCell] = [0, 0, 0];
  for (const { pieces, layup } of cell) {
    const { plane } = plateStiffness(layup);
    for (const piece of pieces) {
      swept += sweptBy(piece);
      flexibility += plane > 0 ? lengthOf(piece) / plane : Infinity;
    }
    alongCell += openStrip(
      layup,
      pieces.reduce((sum, piece) => sum + lengthOf(piece), 0),
    );
  }
  const closed = cell.length > 0 ? closedCell(swept / 2, flexibility) + alongCell : 0;
  return closed + openWalls(walls.filter(({ inCell, layup }) => !inCell && layup.layers.length > 0));
}

/**
 * Where a load across must act so that nothing twists, aft of the leading edge
 * [m]. What bends about itself acts at its own place; the pull of a closed cell
 * by the shear that flows round it: q = q₀ − V Σ (E I_xx z − E I_xz x) A/Δ, q₀ so
 * that ∮ q ds/(G t) = 0. Source: Megson, Aircraft Structures, ch. 17.
 */
export function shearCentre(walls: readonly BuiltWall[], whole: Composite): number {
  let [own, first] = [0, 0];
  for (const fibre of whole.fibres) {
    own += fibre.own[0];
    first += fibre.own[0] * fibre.x;
  }
  const membrane = Math.max(0, whole.upDown - own);
  const cell = walls.filter(({ inCell }) => inCell);
  const flows =
    membrane > 1e-9 * whole.upDown ? flowCentre(cell.length > 0 ? cell : walls, whole, cell.length > 0) : null;
  if (flows === null) return own > 0 ? first / own : whole.x;
  return (membrane * flows + first) / (membrane + own);
}

/** Centre of the flows round a cell, or along an open wall; null where nothing flows. */
function flowCentre(walls: readonly BuiltWall[], whole: Composite, isClosed: boolean): number | null {
  const pieces = walls.flatMap(({ pieces: own, layup }) => {
    const { pull, plane } = plateStiffness(layup);
    return own.map((piece) => ({ piece, pull: pull * lengthOf(piece), plane }));
  });
  if (pieces.length === 0) return null;
  const { upDown, foreAft, both } = whole;
  const determinant = Math.max(upDown * foreAft - both ** 2, 1e-9 * upDown * foreAft);
  const gains = (x: number, z: number, pull: number) =>
    -((foreAft * (z - whole.z) - both * (x - whole.x)) * pull) / determinant;
  // What the shear flow gains along a piece, evenly more or less towards its end, and how much of that it has gained in the mean.
  const steps = pieces.map(({ piece: { a, b }, pull }) => {
    const [first, last] = [gains(a[0], a[1], pull), gains(b[0], b[1], pull)];
    return { gained: (first + last) / 2, mean: first / 3 + last / 6 };
  });
  const within = new Set(walls.map(({ place }) => place));
  // Rods and what hangs on behind take their shear where the wall is nearest.
  for (const fibre of whole.fibres) {
    if (fibre.wall !== undefined && within.has(fibre.wall)) continue;
    const { index, share } = nearestPlace(pieces, fibre);
    const gained = gains(fibre.x, fibre.z, fibre.pull);
    steps[index]!.gained += gained;
    steps[index]!.mean += gained * (1 - share);
  }
  let flow = 0;
  let [loop, around] = [0, 0];
  const open = pieces.map(({ piece, plane }, index) => {
    const here = flow + steps[index]!.mean;
    flow += steps[index]!.gained;
    loop += plane > 0 ? lengthOf(piece) / plane : 0;
    around += plane > 0 ? (here * lengthOf(piece)) / plane : 0;
    return here;
  });
  const constant = isClosed && loop > 0 ? -around / loop : 0;
  let [moment, force] = [0, 0];
  open.forEach((here, index) => {
    const { piece } = pieces[index]!;
    moment += (here + constant) * sweptBy(piece);
    force += (here + constant) * (piece.b[1] - piece.a[1]);
  });
  return Math.abs(force) > 1e-6 ? moment / force : null;
}

/** The piece of a wall that is nearest to a point, and how far along it. */
function nearestPlace(
  pieces: readonly { readonly piece: Piece }[],
  { x, z }: { readonly x: number; readonly z: number },
): { readonly index: number; readonly share: number } {
  let best = { index: 0, share: 0 };
  let nearest = Infinity;
  pieces.forEach(({ piece: { a, b } }, index) => {
    const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
    const squared = dx ** 2 + dz ** 2;
    if (squared === 0) return;
    const share = Math.min(1, Math.max(0, ((x - a[0]) * dx + (z - a[1]) * dz) / squared));
    const apart = lengthAlong(x - a[0] - share * dx, z - a[1] - share * dz);
    if (apart < nearest) {
      nearest = apart;
      best = { index, share };
    }
  });
  return best;
}
