import type { Lattice } from './lattice';

/** Legs of another surface that run on the same line. */
export interface BesideLegs {
  readonly edge: number;
  readonly surface: number;
  /** Legs of that surface for each leg of the edge: one centre fin against the two halves of a wing counts half. */
  readonly share: number;
  /** Which of its pieces is abreast of each piece of the edge: −1 ahead of its nose, its number of pieces behind its tail. */
  readonly abreast: Int8Array;
}

/**
 * An edge along which surfaces meet. What one sheds there the others take up,
 * so the legs bear what is left of them all, once: on the longest chord, and
 * where others reach beyond it on theirs.
 */
export interface Meeting {
  readonly beside: readonly BesideLegs[];
  /** 1 for pieces of the edge whose place a longer chord bears already. */
  readonly borne: Uint8Array;
}

/** What a meeting is made of, from the field of legs while it is laid out. */
interface Legs {
  readonly lattice: Lattice;
  readonly firstEdge: readonly number[];
  readonly pieceX: Float64Array;
  readonly pieceLength: Float64Array;
}

/** The meeting of every edge, null where only one surface is. */
export function meetingsOf(legs: Legs, edges: number): readonly (Meeting | null)[] {
  const { lattice } = legs;
  const meetings = Array.from({ length: edges }, (): Meeting | null => null);
  const groups: Edge[][] = [];
  for (const { joining, met, end, distance } of lattice.junctions) {
    const strips = lattice.firstStrip[joining + 1]! - lattice.firstStrip[joining]!;
    const pair = [
      edgeOf(legs, joining, end === 'root' ? 0 : strips),
      edgeOf(legs, met, nearestEdge(lattice, met, distance)),
    ];
    const known = groups.find((group) => group.some(({ edge }) => pair.some((other) => other.edge === edge)));
    const group = known ?? [];
    group.push(...pair.filter(({ edge }) => group.every((other) => other.edge !== edge)));
    if (!known) groups.push(group);
  }
  for (const group of groups) {
    group.sort((p, q) => q.to - q.from - (p.to - p.from) || p.edge - q.edge);
    group.forEach((own, rank) => {
      const places = piecesOf(legs, own);
      meetings[own.edge] = {
        beside: group.filter((other) => other !== own).map((other) => besideLegs(legs, own, other)),
        borne: Uint8Array.from(places, (x) =>
          group.slice(0, rank).some(({ from, to }) => x > from && x < to) ? 1 : 0,
        ),
      };
    });
  }
  return meetings;
}

interface Edge {
  readonly edge: number;
  readonly surface: number;
  /** Nose and tail of the board there. */
  readonly from: number;
  readonly to: number;
}

function edgeOf({ lattice, firstEdge }: Legs, surface: number, local: number): Edge {
  const first = lattice.firstStrip[surface]!;
  const strips = lattice.firstStrip[surface + 1]! - first;
  const corner = local < strips ? lattice.strips[first + local]!.a : lattice.strips[first + local - 1]!.b;
  return { edge: firstEdge[surface]! + local, surface, from: corner.x, to: corner.x + corner.chord };
}

/** Number of the edge of a surface that is nearest to a distance from its root. */
function nearestEdge({ strips, firstStrip }: Lattice, surface: number, distance: number): number {
  const own = strips.slice(firstStrip[surface], firstStrip[surface + 1]);
  const places = [...own.map(({ from }) => from), own.at(-1)!.to];
  return places.reduce(
    (best, place, index) => (Math.abs(place - distance) < Math.abs(places[best]! - distance) ? index : best),
    0,
  );
}

const piecesOf = ({ lattice, pieceX }: Legs, { edge }: Edge): Float64Array =>
  pieceX.subarray(edge * lattice.cells.count, (edge + 1) * lattice.cells.count);

function besideLegs(legs: Legs, own: Edge, other: Edge): BesideLegs {
  const sides = ({ surface }: Edge) => (legs.lattice.surfaces[surface]!.mirrored ? 2 : 1);
  const theirs = piecesOf(legs, other);
  const abreast = Int8Array.from(piecesOf(legs, own), (x) => {
    if (x < other.from) return -1;
    if (x > other.to) return theirs.length;
    return theirs.reduce((best, place, index) => (Math.abs(place - x) < Math.abs(theirs[best]! - x) ? index : best), 0);
  });
  return { edge: other.edge, surface: other.surface, share: sides(other) / sides(own), abreast };
}

/**
 * Where the legs of a piece meet what another surface induces: abreast of it,
 * midway between that surface's own vortices, since right beside the end of
 * one any place would say anything; as far ahead or behind as drawn, but not
 * nearer than that either.
 */
export function placeBeside(
  { lattice, pieceX, pieceLength }: Legs,
  x: number,
  beside: BesideLegs,
  piece: number,
): number {
  const { count } = lattice.cells;
  const first = beside.edge * count;
  const last = first + count - 1;
  const abreast = beside.abreast[piece]!;
  // A first or last piece reaches from vortex to vortex or to the tail: half of it clear of its end.
  if (abreast < 0) return Math.min(x, pieceX[first]! - pieceLength[first]!);
  if (abreast === count) return Math.max(x, pieceX[last]! + pieceLength[last]! / 2);
  return pieceX[first + abreast]!;
}
