/* What vortices induce: the same in TypeScript is `inducedVelocity.ts`, `wakeSheet.ts` and `bentWake.ts`. */

/** Bytes of a number, and of two. */
const NUMBER: usize = 8;
const PAIR: usize = 16;

/** A point sees both ends of a segment at 180° less than this (as 1 + cosine) only when it lies on it. */
const ON_SEGMENT: f64 = 1e-10;
export const FOUR_PI_INVERSE: f64 = 1 / (4 * Math.PI);
/** Horizontal distance, in strip widths, beyond which a strip of vorticity acts as a line. */
export const NEAR_WIDTHS: f64 = 4;
/** Square of the distance [m²] within which a point lies on a line and feels nothing of it. */
export const ON_LINE: f64 = 1e-18;
/** Bytes of what two points see of a corner: offset, distance, its inverse, and the velocity of the leg. */
const CORNER: usize = 80;
/** Bytes of what two points see of a wake that leaves an edge: its velocity, and the cosine to its beginning. */
const WAKE: usize = 64;

/** Horseshoes as they are packed, and where their wakes go. */
@unmanaged
export class Horseshoes {
  /** x of all corners, then the rows of all edges as `sheetMean` reads them. */
  places: usize;
  /** Edge inboard of every strip, 32-bit integers. */
  edgeOf: usize;
  /** Direction of the wakes, as `wakes` reads it; 0 for straight along x. */
  frame: usize;
  edges: i32;
  count: i32;
  strips: i32;
}

/** Points of a line along x. */
@unmanaged
export class Line {
  y: f64;
  z: f64;
  xs: usize;
  points: i32;
  /** A byte an edge: whether its leg acts as a strip of vorticity on the line. */
  spread: usize;
}

/** Where `sheetMean` leaves its two numbers. */
export let sheetV: f64 = 0;
export let sheetW: f64 = 0;

/**
 * Mean of (−dz, dy)/(dy² + dz²) over the strip of vorticity of an edge.
 * @param edge where the edge begins in the rows y, z, trailing edge, sheet y, z, length, tangent y, z
 */
export function sheetMean(edge: usize, row: usize, y: f64, z: f64): void {
  const length = load<f64>(edge + 5 * row);
  const ty = load<f64>(edge + 6 * row);
  const tz = load<f64>(edge + 7 * row);
  const py = y - load<f64>(edge + 3 * row);
  const pz = z - load<f64>(edge + 4 * row);
  const s = py * ty + pz * tz;
  const h = pz * ty - py * tz;
  const tiny = 1e-6 * length;
  const floor = tiny * tiny;
  const back = s - length;
  const along = Math.log((s * s + h * h + floor) / (back * back + h * h + floor)) / (2 * length);
  // On the sheet itself the jump across it averages to nothing.
  // The angle under which the strip is seen: both arcs at once.
  const across = Math.abs(h) < tiny ? 0 : Math.atan2(h * length, s * back + h * h) / length;
  sheetV = -(along * tz + across * ty);
  sheetW = along * ty - across * tz;
}

/** Distance squared of every edge from a line along x and, where legs go straight, the means of its leg. */
function look(rows: usize, edges: i32, spread: usize, y: f64, z: f64, isBent: bool, sight: usize): void {
  const row = (<usize>edges) * NUMBER;
  for (let index = 0; index < edges; index++) {
    const edge = rows + (<usize>index) * NUMBER;
    const to = sight + (<usize>index) * NUMBER;
    const dy = y - load<f64>(edge);
    const dz = z - load<f64>(edge + row);
    const across = dy * dy + dz * dz;
    store<f64>(to, across);
    if (isBent) continue;
    const near = NEAR_WIDTHS * load<f64>(edge + 5 * row);
    let v: f64 = 0;
    let w: f64 = 0;
    if (load<u8>(spread + <usize>index) != 0 && across < near * near) {
      sheetMean(edge, row, y, z);
      v = FOUR_PI_INVERSE * sheetV;
      w = FOUR_PI_INVERSE * sheetW;
    } else if (across > ON_LINE) {
      v = (-dz * FOUR_PI_INVERSE) / across;
      w = (dy * FOUR_PI_INVERSE) / across;
    }
    store<f64>(to + row, v);
    store<f64>(to + 2 * row, w);
  }
}

/**
 * Velocity at two points of the half-lines that leave the trailing edges, at
 * unit circulation: along x, y and z, and the cosine to where they begin.
 * @param frame the direction d, e₁ across it and level, e₂ across both: 3, 2 and 3 numbers
 */
function wakes(rows: usize, edges: i32, spread: usize, frame: usize, y: f64, z: f64, x: v128, out: usize): void {
  const row = (<usize>edges) * NUMBER;
  const d0 = v128.load64_splat(frame);
  const d1 = load<f64>(frame, 8);
  const d2 = load<f64>(frame, 16);
  const e10 = load<f64>(frame, 24);
  const e11 = load<f64>(frame, 32);
  const e20 = load<f64>(frame, 40);
  const e21 = load<f64>(frame, 48);
  const e22 = load<f64>(frame, 56);
  for (let index = 0; index < edges; index++) {
    const edge = rows + (<usize>index) * NUMBER;
    const edgeY = load<f64>(edge);
    const edgeZ = load<f64>(edge + row);
    const dy = y - edgeY;
    const dz = z - edgeZ;
    const tx = f64x2.sub(x, v128.load64_splat(edge + 2 * row));
    const tr = f64x2.sqrt(f64x2.add(f64x2.mul(tx, tx), f64x2.splat(dy * dy + dz * dz)));
    const along = f64x2.add(f64x2.mul(tx, d0), f64x2.splat(dy * d1 + dz * d2));
    const aside = f64x2.add(f64x2.mul(tx, f64x2.splat(e10)), f64x2.splat(dy * e11));
    const height = f64x2.add(f64x2.mul(tx, f64x2.splat(e20)), f64x2.splat(dy * e21 + dz * e22));
    const line = f64x2.add(f64x2.mul(aside, aside), f64x2.mul(height, height));
    const isOn = f64x2.lt(line, f64x2.splat(ON_LINE));
    let wake1 = v128.andnot(f64x2.div(f64x2.neg(height), line), isOn);
    let wake2 = v128.andnot(f64x2.div(aside, line), isOn);
    if (load<u8>(spread + <usize>index) != 0) {
      const width = NEAR_WIDTHS * load<f64>(edge + 5 * row);
      const near = width * width;
      for (let lane = 0; lane < 2; lane++) {
        if (laneOf(line, lane) >= near) continue;
        sheetMean(edge, row, edgeY + laneOf(aside, lane), edgeZ + laneOf(height, lane));
        wake1 = withLane(wake1, lane, sheetV);
        wake2 = withLane(wake2, lane, sheetW);
      }
    }
    const turned = f64x2.div(f64x2.mul(f64x2.splat(FOUR_PI_INVERSE), f64x2.add(tr, along)), tr);
    wake1 = f64x2.mul(wake1, turned);
    wake2 = f64x2.mul(wake2, turned);
    v128.store(out, f64x2.add(f64x2.mul(wake1, f64x2.splat(e10)), f64x2.mul(wake2, f64x2.splat(e20))));
    v128.store(out, f64x2.add(f64x2.mul(wake1, f64x2.splat(e11)), f64x2.mul(wake2, f64x2.splat(e21))), 16);
    v128.store(out, f64x2.mul(wake2, f64x2.splat(e22)), 32);
    v128.store(out, f64x2.div(tx, tr), 48);
    out += WAKE;
  }
}

/** One of the two numbers of a pair. */
@inline
export function laneOf(pair: v128, lane: i32): f64 {
  return lane == 0 ? f64x2.extract_lane(pair, 0) : f64x2.extract_lane(pair, 1);
}

/** A pair with another number in one of its places. */
@inline
export function withLane(pair: v128, lane: i32, value: f64): v128 {
  return lane == 0 ? f64x2.replace_lane(pair, 0, value) : f64x2.replace_lane(pair, 1, value);
}

/** Two points of a line, or the last one twice. */
@inline
export function pairAt(xs: usize, point: i32, points: i32): v128 {
  const x = load<f64>(xs + (<usize>point) * NUMBER);
  return f64x2.replace_lane(f64x2.splat(x), 1, point + 1 < points ? load<f64>(xs + (<usize>(point + 1)) * NUMBER) : x);
}

/** Where the rows of the edges begin, behind x of all corners. */
@inline
export function edgeRows(shoes: Horseshoes): usize {
  return shoes.places + (<usize>(shoes.edges * shoes.count)) * NUMBER;
}

/** Bytes of what a line sees: its distances and means, and of two of its points wakes and corners. */
export function sightBytes(shoes: Horseshoes): usize {
  return cornersAt(shoes, 0) + (<usize>(shoes.edges * shoes.count)) * CORNER;
}

@inline
function wakesAt(shoes: Horseshoes, sight: usize): usize {
  // Pairs of numbers lie on even places, so that none is torn.
  return (sight + 3 * (<usize>shoes.edges) * NUMBER + PAIR - 1) & ~(PAIR - 1);
}

@inline
function cornersAt(shoes: Horseshoes, sight: usize): usize {
  return wakesAt(shoes, sight) + (<usize>shoes.edges) * WAKE;
}

/** What all points of a line see alike, into `sight`. */
export function lookAlong(shoes: Horseshoes, line: Line, sight: usize): void {
  look(edgeRows(shoes), shoes.edges, line.spread, line.y, line.z, shoes.frame != 0, sight);
}

/** What two points of a line see of every corner: offset, distance, its inverse, and the velocity of the leg. */
export function lookFrom(shoes: Horseshoes, line: Line, x: v128, sight: usize): void {
  if (shoes.frame != 0) {
    lookAtBent(shoes, line, x, sight);
    return;
  }
  const perEdge = (<usize>shoes.edges) * NUMBER;
  const one = f64x2.splat(1);
  let corner = cornersAt(shoes, sight);
  let cornerX = shoes.places;
  for (let edge = 0; edge < shoes.edges; edge++) {
    const at = sight + (<usize>edge) * NUMBER;
    const across = v128.load64_splat(at);
    const v = v128.load64_splat(at + perEdge);
    const w = v128.load64_splat(at + 2 * perEdge);
    for (let k = 0; k < shoes.count; k++) {
      const dx = f64x2.sub(x, v128.load64_splat(cornerX));
      const r = f64x2.sqrt(f64x2.add(f64x2.mul(dx, dx), across));
      const overR = f64x2.div(one, r);
      const turned = f64x2.add(one, f64x2.mul(dx, overR));
      v128.store(corner, dx);
      v128.store(corner, r, 16);
      v128.store(corner, overR, 32);
      v128.store(corner, f64x2.mul(v, turned), 48);
      v128.store(corner, f64x2.mul(w, turned), 64);
      corner += CORNER;
      cornerX += NUMBER;
    }
  }
}

/** The same where legs follow the chord to the trailing edge and then go with the wind. */
function lookAtBent(shoes: Horseshoes, line: Line, x: v128, sight: usize): void {
  const perEdge = (<usize>shoes.edges) * NUMBER;
  const rows = edgeRows(shoes);
  const bent = wakesAt(shoes, sight);
  const one = f64x2.splat(1);
  const quarter = f64x2.splat(FOUR_PI_INVERSE);
  wakes(rows, shoes.edges, line.spread, shoes.frame, line.y, line.z, x, bent);
  let corner = cornersAt(shoes, sight);
  let cornerX = shoes.places;
  for (let edge = 0; edge < shoes.edges; edge++) {
    const across = v128.load64_splat(sight + (<usize>edge) * NUMBER);
    const place = rows + (<usize>edge) * NUMBER;
    const wake = bent + (<usize>edge) * WAKE;
    const wakeV = v128.load(wake, 16);
    const wakeW = v128.load(wake, 32);
    const facing = v128.load(wake, 48);
    const isOn = f64x2.lt(across, f64x2.splat(ON_LINE));
    const dy = f64x2.splat(line.y - load<f64>(place));
    const dz = f64x2.splat(line.z - load<f64>(place + perEdge));
    for (let k = 0; k < shoes.count; k++) {
      const dx = f64x2.sub(x, v128.load64_splat(cornerX));
      const r = f64x2.sqrt(f64x2.add(f64x2.mul(dx, dx), across));
      // Segment along x from the corner to the trailing edge.
      const along = f64x2.mul(quarter, f64x2.sub(f64x2.div(dx, r), facing));
      const finite = v128.andnot(f64x2.div(along, across), isOn);
      v128.store(corner, dx);
      v128.store(corner, r, 16);
      v128.store(corner, f64x2.div(one, r), 32);
      v128.store(corner, f64x2.sub(wakeV, f64x2.mul(finite, dz)), 48);
      v128.store(corner, f64x2.add(wakeW, f64x2.mul(finite, dy)), 64);
      corner += CORNER;
      cornerX += NUMBER;
    }
  }
}

/**
 * Velocity at two points that the horseshoes of strips from one to before
 * another induce at unit circulation: rows u, v, w of all panels for the first
 * point, and for the second.
 */
export function induceFrom(shoes: Horseshoes, line: Line, sight: usize, from: i32, to: i32, first: usize, second: usize): void {
  const count = shoes.count;
  const isBent = shoes.frame != 0;
  const perEdge = (<usize>shoes.edges) * NUMBER;
  const rows = edgeRows(shoes);
  const bent = wakesAt(shoes, sight);
  const corners = cornersAt(shoes, sight);
  const row = (<usize>(shoes.strips * count)) * NUMBER;
  const next = (<usize>count) * CORNER;
  const quarter = f64x2.splat(FOUR_PI_INVERSE);
  first += (<usize>(from * count)) * NUMBER;
  second += (<usize>(from * count)) * NUMBER;
  for (let strip = from; strip < to; strip++) {
    const edge = <usize>load<i32>(shoes.edgeOf + ((<usize>strip) << 2));
    const place = rows + edge * NUMBER;
    const ay = line.y - load<f64>(place);
    const az = line.z - load<f64>(place + perEdge);
    const by = line.y - load<f64>(place, 8);
    const bz = line.z - load<f64>(place + perEdge, 8);
    const dot = f64x2.splat(ay * by + az * bz);
    const crossX = f64x2.splat(ay * bz - az * by);
    const ayBoth = f64x2.splat(ay);
    const azBoth = f64x2.splat(az);
    const byBoth = f64x2.splat(by);
    const bzBoth = f64x2.splat(bz);
    const wake = bent + edge * WAKE;
    const legU = isBent ? f64x2.sub(v128.load(wake + WAKE), v128.load(wake)) : f64x2.splat(0);
    let a = corners + edge * next;
    for (let k = 0; k < count; k++) {
      const b = a + next;
      const ax = v128.load(a);
      const bx = v128.load(b);
      const product = f64x2.mul(v128.load(a, 16), v128.load(b, 16));
      const facing = f64x2.add(f64x2.add(product, f64x2.mul(ax, bx)), dot);
      const inverses = f64x2.add(v128.load(a, 32), v128.load(b, 32));
      const isOn = f64x2.lt(facing, f64x2.mul(f64x2.splat(ON_SEGMENT), product));
      // On the segment itself it induces nothing.
      const bound = v128.andnot(f64x2.div(f64x2.mul(quarter, inverses), facing), isOn);
      const u = f64x2.add(f64x2.mul(bound, crossX), legU);
      const v = f64x2.sub(
        f64x2.add(f64x2.mul(bound, f64x2.sub(f64x2.mul(azBoth, bx), f64x2.mul(ax, bzBoth))), v128.load(b, 48)),
        v128.load(a, 48),
      );
      const w = f64x2.sub(
        f64x2.add(f64x2.mul(bound, f64x2.sub(f64x2.mul(ax, byBoth), f64x2.mul(ayBoth, bx))), v128.load(b, 64)),
        v128.load(a, 64),
      );
      v128.store_lane<f64>(second, u, 1);
      v128.store_lane<f64>(second + row, v, 1);
      v128.store_lane<f64>(second + 2 * row, w, 1);
      v128.store_lane<f64>(first, u, 0);
      v128.store_lane<f64>(first + row, v, 0);
      v128.store_lane<f64>(first + 2 * row, w, 0);
      a += CORNER;
      first += NUMBER;
      second += NUMBER;
    }
  }
}

/**
 * Velocity at points of a line along x that every horseshoe induces there at
 * unit circulation, two points at once. For each point the rows u, v, w of all
 * panels.
 * @param work room for what two points see
 */
export function induce(shoes: Horseshoes, line: Line, work: usize, out: usize): void {
  const points = line.points;
  const bytes = 3 * (<usize>(shoes.strips * shoes.count)) * NUMBER;
  lookAlong(shoes, line, work);
  for (let point = 0; point < points; point += 2) {
    lookFrom(shoes, line, pairAt(line.xs, point, points), work);
    const first = out + (<usize>point) * bytes;
    // A single point writes the same twice.
    induceFrom(shoes, line, work, 0, shoes.strips, first, point + 1 < points ? first + bytes : first);
  }
}
