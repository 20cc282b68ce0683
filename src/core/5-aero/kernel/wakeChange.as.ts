/* How what wakes induce changes as they turn: the same in TypeScript is `wakeChange.ts`. */

import {
  edgeRows,
  FOUR_PI_INVERSE,
  Horseshoes,
  laneOf,
  Line,
  NEAR_WIDTHS,
  ON_LINE,
  pairAt,
  sheetMean,
  sheetV,
  sheetW,
  withLane,
} from './vortices.as';

/** Bytes of a number. */
const NUMBER: usize = 8;

/** Edges of a strip of vorticity are blurred by that share of how far behind its beginning they are seen. */
const BLUR: f64 = 0.01;

/** Where `stripAcross` leaves what is across a wake: both parts, and their changes as it turns up and right. */
let across1: f64 = 0;
let across2: f64 = 0;
let up1: f64 = 0;
let up2: f64 = 0;
let right1: f64 = 0;
let right2: f64 = 0;

/** A wake that is seen as a strip of vorticity: see `wakeChange.ts`. */
function stripAcross(edge: usize, row: usize, a: f64, h: f64, l: f64, r: f64, c: f64, s: f64): void {
  const y = load<f64>(edge) + a;
  const z = load<f64>(edge + row) + h;
  sheetMean(edge, row, y, z);
  const length = load<f64>(edge + 5 * row);
  const ty = load<f64>(edge + 6 * row);
  const tz = load<f64>(edge + 7 * row);
  const py = y - load<f64>(edge + 3 * row);
  const pz = z - load<f64>(edge + 4 * row);
  const from = py * ty + pz * tz;
  const back = from - length;
  const off = pz * ty - py * tz;
  const blur = BLUR * r * (BLUR * r);
  const near = 1 / (from * from + off * off + blur);
  const far = 1 / (back * back + off * off + blur);
  const real = (from * near - back * far) / length;
  const imaginary = (off * far - off * near) / length;
  const turnReal = ty * ty - tz * tz;
  const turnImaginary = -2 * ty * tz;
  const f2 = turnReal * real - turnImaginary * imaginary;
  const f1 = turnReal * imaginary + turnImaginary * real;
  const turn = (r + l) / r;
  across1 = turn * sheetV;
  across2 = turn * sheetW;
  const upTurn = (h * c * c) / r;
  const upH = -l * c * c;
  up1 = upTurn * sheetV + turn * f2 * upH;
  up2 = upTurn * sheetW - turn * f1 * upH;
  const rightTurn = (a * c) / r;
  const rightA = s * h - c * l;
  const rightH = -s * a;
  right1 = rightTurn * sheetV + turn * (f1 * rightA + f2 * rightH);
  right2 = rightTurn * sheetW + turn * (f2 * rightA - f1 * rightH);
}

/**
 * Change of the velocity at points of a line that wakes of these strengths, one
 * to an edge, induce as they turn up and as they turn right: u, v, w and u, v,
 * w, point by point, two points side by side.
 */
export function turn(shoes: Horseshoes, line: Line, strengths: usize, out: usize): void {
  const edges = shoes.edges;
  const rows = edgeRows(shoes);
  const row = (<usize>edges) * NUMBER;
  const c = load<f64>(shoes.frame);
  const s = load<f64>(shoes.frame, 16);
  const cs = f64x2.splat(c);
  const ss = f64x2.splat(s);
  const squares = f64x2.splat(c * c);
  const none = f64x2.splat(0);
  const one = f64x2.splat(1);
  const quarter = f64x2.splat(FOUR_PI_INVERSE);
  for (let point = 0; point < line.points; point += 2) {
    const x = pairAt(line.xs, point, line.points);
    let upU = none;
    let upV = none;
    let upW = none;
    let rightU = none;
    let rightV = none;
    let rightW = none;
    for (let index = 0; index < edges; index++) {
      const each = load<f64>(strengths + (<usize>index) * NUMBER);
      if (each == 0) continue;
      const edge = rows + (<usize>index) * NUMBER;
      const dy = line.y - load<f64>(edge);
      const dz = line.z - load<f64>(edge + row);
      const a = f64x2.splat(dy);
      const tx = f64x2.sub(x, v128.load64_splat(edge + 2 * row));
      const r = f64x2.sqrt(f64x2.add(f64x2.mul(tx, tx), f64x2.splat(dy * dy + dz * dz)));
      const l = f64x2.add(f64x2.mul(tx, cs), f64x2.splat(dz * s));
      const h = f64x2.sub(f64x2.splat(dz * c), f64x2.mul(tx, ss));
      const square = f64x2.add(f64x2.splat(dy * dy), f64x2.mul(h, h));
      const isBehind = f64x2.gt(l, none);
      const isOn = v128.and(isBehind, f64x2.lt(square, f64x2.splat(ON_LINE)));
      const sum = f64x2.add(r, f64x2.abs(l));
      const less = v128.bitselect(f64x2.div(square, sum), sum, isBehind);
      const g = v128.andnot(f64x2.div(one, f64x2.mul(r, less)), isOn);
      const perAlong = v128.andnot(f64x2.div(g, less), isOn);
      let w1 = f64x2.neg(f64x2.mul(h, g));
      let w2 = f64x2.mul(a, g);
      const up = f64x2.mul(f64x2.mul(h, squares), perAlong);
      let changeUp1 = f64x2.sub(f64x2.mul(f64x2.mul(l, squares), g), f64x2.mul(h, up));
      let changeUp2 = f64x2.mul(a, up);
      const right = f64x2.mul(f64x2.mul(a, cs), perAlong);
      let changeRight1 = f64x2.sub(f64x2.mul(f64x2.mul(ss, a), g), f64x2.mul(h, right));
      let changeRight2 = f64x2.add(
        f64x2.mul(f64x2.sub(f64x2.mul(ss, h), f64x2.mul(cs, l)), g),
        f64x2.mul(a, right),
      );
      if (load<u8>(line.spread + <usize>index) != 0) {
        const width = NEAR_WIDTHS * load<f64>(edge + 5 * row);
        const near = width * width;
        for (let lane = 0; lane < 2; lane++) {
          if (laneOf(square, lane) >= near) continue;
          stripAcross(edge, row, dy, laneOf(h, lane), laneOf(l, lane), laneOf(r, lane), c, s);
          w1 = withLane(w1, lane, across1);
          w2 = withLane(w2, lane, across2);
          changeUp1 = withLane(changeUp1, lane, up1);
          changeUp2 = withLane(changeUp2, lane, up2);
          changeRight1 = withLane(changeRight1, lane, right1);
          changeRight2 = withLane(changeRight2, lane, right2);
        }
      }
      const strength = f64x2.mul(f64x2.splat(each), quarter);
      const alongUp = f64x2.neg(f64x2.mul(squares, w2));
      upU = add(upU, strength, f64x2.sub(f64x2.mul(alongUp, cs), f64x2.mul(changeUp2, ss)));
      upV = add(upV, strength, changeUp1);
      upW = add(upW, strength, f64x2.add(f64x2.mul(changeUp2, cs), f64x2.mul(alongUp, ss)));
      const e2 = f64x2.add(changeRight2, f64x2.mul(ss, w1));
      const along = f64x2.neg(f64x2.mul(cs, w1));
      rightU = add(rightU, strength, f64x2.sub(f64x2.mul(along, cs), f64x2.mul(e2, ss)));
      rightV = add(rightV, strength, f64x2.sub(changeRight1, f64x2.mul(ss, w2)));
      rightW = add(rightW, strength, f64x2.add(f64x2.mul(e2, cs), f64x2.mul(along, ss)));
    }
    const at = out + (<usize>point) * 6 * NUMBER;
    v128.store(at, upU);
    v128.store(at, upV, 16);
    v128.store(at, upW, 32);
    v128.store(at, rightU, 48);
    v128.store(at, rightV, 64);
    v128.store(at, rightW, 80);
  }
}

@inline
function add(sum: v128, by: v128, value: v128): v128 {
  return f64x2.add(sum, f64x2.mul(by, value));
}
