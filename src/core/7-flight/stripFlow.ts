import { LuDecomposition, Matrix } from 'ml-matrix';
import type { MetresPerSecond, Pascals, Vector3 } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { profileDrag, type SectionData } from '@/core/3-shape/section/lowReynolds';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { onsetAt } from '@/core/5-aero/flowCase';
import type { Load } from '@/core/5-aero/forces';
import { solveFactored } from '@/core/5-aero/kernel/luFactors';
import { INTERFERENCE_FACTOR, stripData } from '@/core/5-aero/polar';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import { blownStrips } from './blown';
import { attachedLoads, type Motion, type MotionCase, motionCases } from './attachedLoads';
import {
  attachedMeeting,
  behindQuarter,
  meetingLoads,
  PLATE_FROM,
  type StallingSection,
  stallingSection,
} from './separation';
import { type StripAir, washBalance, WHOLE } from './washBalance';

/** One strip of one side. The left one is seen in the mirror: y outboard, as on the right. */
interface Node {
  readonly strip: number;
  /** 1 right, −1 left, 0 a surface in the middle. */
  readonly side: 1 | -1 | 0;
  readonly chord: number;
  readonly width: number;
  /** Quarter chord of its middle, and the way up from the board, in its own mirror. */
  readonly place: Vector3;
  readonly up: readonly [y: number, z: number];
  readonly section: StallingSection;
  readonly data: SectionData;
}

/** Force and moment. */
type Sum = [number, number, number, number, number, number];

export interface StripFlow {
  /** How many strips there are, left and right counted apart. */
  readonly nodes: number;
  /** Share of the area of all wings that each strip is; none on other surfaces. */
  readonly liftingShare: Float64Array;
  /**
   * Loads per density about the balance point in document axes, at a share of
   * attached flow for every strip; with `steady`, writes the share that each
   * would come to and the time constant over the chord and speed. @param jets dynamic pressure that each drive adds behind it [Pa]
   */
  readonly loads: (
    motion: Motion,
    attached: ArrayLike<number>,
    told?: { readonly steady: Float64Array; readonly pace: Float64Array },
    jets?: readonly Pascals[],
  ) => Load;
  /** Forgets what was before: a flight never hangs on the one before it. */
  readonly forget: () => void;
}

/** Lag of the separation: time over chord and speed, of the flow and of its answer to a growing angle (Goman & Khrabrov). C. */
const LAG = 4.5;

/**
 * An aircraft as strips that each meet their own air. Attached, its loads are
 * those of the lattice itself. Where a strip lifts less than the lattice says,
 * the missing circulation is missing in the wash of all: an upwash d stands in
 * for it at that strip, with the answers of the full lattice to it (one solved
 * case for every strip), until section and wash agree. Section data at a
 * reference speed. Built once for a geometry.
 */
export function stripFlow(prepared: Prepared, model: AeroModel, speed: MetresPerSecond): StripFlow {
  const cases = motionCases(prepared, model);
  const attachedForm = attachedLoads(prepared, model, cases);
  const nodes = nodesOf(prepared, speed);
  const answers = answersOf(model, nodes);
  const asAngles = angles(answers, nodes.length);
  const air = cases.map((one) => airOfCase(model, nodes, one, asAngles));
  const size = nodes.length;
  const [along, across, wash, strength, missing, reach] = Array.from({ length: 6 }, () => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  /** Sines of the angles at which the flow begins to leave, above and below. */
  const whole = new Float64Array(2 * size);
  nodes.forEach(({ chord, section }, index) => {
    reach[index] = (chord * section.slope) / 2;
    whole[2 * index] = Math.sin(Math.min(PLATE_FROM, section.leavesAbove));
    whole[2 * index + 1] = Math.sin(Math.min(PLATE_FROM, section.leavesBelow));
  });

  const met: Meeting = { along, across, strength };
  const perSpeed: StripMeeting = {
    along: new Float64Array(size),
    across: new Float64Array(size),
    strength: new Float64Array(size),
    own: new Float64Array(size),
  };
  const isOnWing = nodes.map(({ strip }) =>
    isWing(prepared.lattice.surfaces[prepared.lattice.strips[strip]!.surface]!),
  );
  /** What jets add to the speed along strips, to circulation, and to the air square to the board. */
  const [added, gained, risen] = Array.from({ length: 3 }, () => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const blown = blownStrips(prepared.design, prepared.lattice, nodes);

  /** Air that every strip meets with attached flow, and its circulation; its own angles only where they are asked for. */
  function meet(motion: Motion, into: Meeting): void {
    const { own } = into;
    for (const values of [into.along, into.across, into.strength]) values.fill(0);
    own?.fill(0);
    cases.forEach(({ share }, index) => {
      const part = share(motion);
      if (part === 0) return;
      const one = air[index]!;
      for (let i = 0; i < size; i++) {
        into.along[i]! += part * one.along[i]!;
        into.across[i]! += part * one.across[i]!;
        into.strength[i]! += part * one.strength[i]!;
      }
      if (own) for (let i = 0; i < size; i++) own[i]! += part * one.own[i]!;
    });
  }

  /**
   * In a jet a strip meets more of what comes from ahead, at the angles that it
   * and its control stand at. A tail lies in it with most of its span and has
   * what it has at that speed; a wing sticks out on both sides: what its strips
   * gain of circulation goes through the answers of all, and a narrow jet gains
   * little of it.
   */
  function blow(): void {
    // Both sides at once: what is alike on both stays so to the last digit.
    for (const pair of pairs) {
      const stands = pair.map((i) => (isOnWing[i] ? blown.answered[i]! * added[i]! * perSpeed.own[i]! : 0));
      pair.forEach((i, which) => {
        gained[i]! += isOnWing[i] ? 0 : added[i]! * perSpeed.strength[i]!;
        // Of the angle that a strip stands at itself nothing moves the air.
        risen[i]! += isOnWing[i] ? -stands[which]! : added[i]! * perSpeed.across[i]!;
      });
      if (stands.every((own) => own === 0)) continue;
      for (let j = 0; j < size; j++) {
        const by = (which: number) => (which < pair.length ? stands[which]! * answers[pair[which]! * size + j]! : 0);
        const circulation = by(0) + by(1);
        gained[j]! += circulation;
        risen[j]! += circulation / reach[j]!;
      }
    }
  }

  /** Speed of the air square to the zero-lift line of a strip. */
  const normalTo = (i: number) => (strength[i]! + wash[i]!) / reach[i]! - missing[i]!;

  const state: StripAir = { along, strength, wash, missing };
  const balance = washBalance({
    sections: nodes.map(({ section }) => section),
    isPaired: nodes.map(({ side }) => side === 1),
    reach,
    answers,
  });
  const bearing = { lift: 0, drag: 0 };
  /** A strip on the right with its left, or one in the middle. */
  const pairs = nodes.flatMap(({ side }, i) => (side === -1 ? [] : [side === 1 ? [i, i + 1] : [i]]));

  return {
    nodes: size,
    liftingShare: liftingShares(prepared, nodes),
    forget: () => {
      wash.fill(0);
      missing.fill(0);
    },
    loads: (motion, attached, told, jets) => {
      meet(motion, met);
      for (const values of [added, gained, risen]) values.fill(0);
      if (jets?.some((pressure) => pressure > 0)) {
        meet({ ...motion, u: 1, v: 0, w: 0, p: 0, q: 0, r: 0 }, perSpeed);
        blown.blow(jets, prepared.air.density, along, added);
        blow();
      }
      balance(state, attached);
      const { force, moment } = attachedForm(motion);
      const sum: Sum = [0, 0, 0, 0, 0, 0];
      const before: Sum = [0, 0, 0, 0, 0, 0];
      let [full, left] = [0, 0];
      for (const pair of pairs) {
        // Both sides first by themselves: what is opposite is then nothing at all, and a straight flight stays straight.
        const both = { sum: [0, 0, 0, 0, 0, 0] as Sum, before: [0, 0, 0, 0, 0, 0] as Sum };
        for (const i of pair) {
          addStrip(i, attached[i]!, both, told);
          full += nodes[i]!.width * strength[i]! ** 2;
          left += nodes[i]!.width * strength[i]! * (strength[i]! + wash[i]!);
        }
        for (let axis = 0; axis < 6; axis++) {
          sum[axis]! += both.sum[axis]!;
          before[axis]! += both.before[axis]!;
        }
      }
      // What the lattice has beside its strips, such as the pull on the legs, goes with the square of what circulates.
      const kept = full > 0 ? Math.max(0, left / full) ** 2 : 1;
      [...force, ...moment].forEach((value, axis) => (sum[axis]! += kept * (value - before[axis]!)));
      return { force: [sum[0], sum[1], sum[2]], moment: [sum[3], sum[4], sum[5]] };
    },
  };

  /** What a strip has beside its attached load: friction, what a jet adds, and all that separation changes. */
  function addStrip(
    i: number,
    attached: number,
    { sum, before }: { readonly sum: Sum; readonly before: Sum },
    told: { readonly steady: Float64Array; readonly pace: Float64Array } | undefined,
  ): void {
    const { section, data, chord, width } = nodes[i]!;
    const more = added[i]!;
    const flow = along[i]! + more * perSpeed.along[i]!;
    const normal = normalTo(i) + gained[i]! / reach[i]!;
    const met = Math.sqrt(normal * normal + flow * flow);
    // Well within what the attached flow holds no angle needs to be known.
    const sine = met > 0 ? normal / met : 0;
    const isWhole = attached >= WHOLE && flow > 0 && sine < whole[2 * i]! && -sine < whole[2 * i + 1]!;
    if (told) {
      told.steady[i] = isWhole ? 1 : attachedMeeting(section, sine);
      told.pace[i] = met / (LAG * chord);
    }
    const half = (chord * width) / 2;
    // Where the air really comes from: what is missing changes the wash beside it.
    const upwards = across[i]! + risen[i]! + wash[i]! / reach[i]! - missing[i]!;
    const speed = Math.sqrt(flow * flow + upwards * upwards);
    if (speed < 1e-9) return;
    const [aft, rise] = [flow / speed, upwards / speed];
    if (isWhole) [bearing.lift, bearing.drag] = [section.slope * sine, 0];
    else meetingLoads(section, sine, met > 0 ? flow / met : 1, attached, bearing);
    const { lift, drag } = bearing;
    const behind = isWhole ? 0 : chord * behindQuarter(sine, met > 0 ? flow / met : 1, attached);
    const friction =
      INTERFERENCE_FACTOR * profileDrag(data, Math.min(data.maximumLift, Math.max(-data.invertedLift, lift)));
    // Lift by the circulation in the air as it comes, so that attached it is the lattice’s own.
    const pressure = half * met * speed;
    const [fullLift, fullDrag] = [pressure * lift, pressure * drag + half * speed * speed * friction];
    addForce(sum, nodes[i]!, fullDrag * aft - fullLift * rise, fullDrag * rise + fullLift * aft, behind);
    // The same strip as the lattice has it.
    addForce(before, nodes[i]!, -strength[i]! * width * across[i]!, strength[i]! * width * along[i]!, 0);
  }
}

function liftingShares({ lattice }: Prepared, nodes: readonly Node[]): Float64Array {
  const areas = nodes.map(({ strip, chord, width }) =>
    isWing(lattice.surfaces[lattice.strips[strip]!.surface]!) ? chord * width : 0,
  );
  const whole = areas.reduce((sum, area) => sum + area, 0);
  return Float64Array.from(areas, (area) => area / whole);
}

/** Adds a force on a strip, along x and up from its board, so far behind its quarter chord. */
function addForce(sum: Sum, { place, up, side }: Node, x: number, normal: number, behind: number): void {
  const mirror = side === -1 ? -1 : 1;
  const [fy, fz] = [normal * up[0] * mirror, normal * up[1]];
  const [px, py, pz] = [place[0] + behind, place[1] * mirror, place[2]];
  sum[0] += x;
  sum[1] += fy;
  sum[2] += fz;
  sum[3] += py * fz - pz * fy;
  sum[4] += pz * x - px * fz;
  sum[5] += px * fy - py * x;
}

function nodesOf({ lattice, sections, air, about }: Prepared, speed: MetresPerSecond): Node[] {
  const data = stripData(sections, air, speed);
  const aspects = lattice.surfaces.map((surface) => {
    const area = integratePlanforms([surface], 'true')!.area;
    return ((surface.mirrored ? 2 : 1) * surface.stations.at(-1)!.distance) ** 2 / area;
  });
  return lattice.strips.flatMap((strip, index): Node[] => {
    const own = data[index]!;
    const { m, width, tangentY, tangentZ, surface } = strip;
    const node = {
      strip: index,
      chord: m.chord,
      width,
      place: [m.x + m.chord / 4 - about[0], m.y, m.z - about[2]] as Vector3,
      up: [-tangentZ, tangentY] as const,
      section: stallingSection(
        2 * Math.PI * own.liftSlopeFactor,
        { above: own.maximumLift, below: own.invertedLift },
        aspects[surface]!,
      ),
      data: own,
    };
    return lattice.surfaces[surface]!.mirrored
      ? [
          { ...node, side: 1 },
          { ...node, side: -1 },
        ]
      : [{ ...node, side: 0 }];
  });
}

/** What strips meet: air along the chord, square to the board with the wash of all, and circulation. */
interface StripMeeting {
  readonly along: Float64Array;
  readonly across: Float64Array;
  readonly strength: Float64Array;
  /** Upwash that stands for the angles of the strip itself and the air that it meets, without the wash of others. */
  readonly own: Float64Array;
}

type Meeting = Omit<StripMeeting, 'own'> & Partial<Pick<StripMeeting, 'own'>>;

/** The upwash at every strip that alone would bring a circulation: the answers inverted. */
function angles(answers: Float64Array, size: number): (strength: Float64Array) => Float64Array {
  const square = Matrix.from1DArray(size, size, answers).transpose();
  const factors = new LuDecomposition(square);
  return (strength) => Float64Array.from(factors.solve(Matrix.columnVector(strength)).to1DArray());
}

/** What a unit of a case means at every strip; on the left an antisymmetric one is the opposite. */
function airOfCase(
  { lattice }: AeroModel,
  nodes: readonly Node[],
  { flow }: MotionCase,
  asAngles: (strength: Float64Array) => Float64Array,
): StripMeeting {
  const { count } = lattice.cells;
  const isEven = flow.parity === 'symmetric';
  const of = ({ side }: Node, value: number) => (isEven ? (side === 0 ? 0 : value) : side === -1 ? -value : value);
  const strength = Float64Array.from(nodes, (node) => {
    let sum = 0;
    for (let k = 0; k < count; k++) sum += flow.circulation[node.strip * count + k]!;
    return of(node, sum);
  });
  // As exactly alike or opposite on both sides as the case is; solving rounds.
  const rounded = asAngles(strength);
  const upwash = Float64Array.from(nodes, (node, index) => {
    const right = node.side === -1 ? index - 1 : index;
    const own = node.side === 0 ? rounded[index]! : (rounded[right]! + (isEven ? 1 : -1) * rounded[right + 1]!) / 2;
    return of(node, own);
  });
  const airAt = ({ strip }: Node) => {
    const { x, y, z, chord } = lattice.strips[strip]!.m;
    return onsetAt(flow.onset, x + chord / 4, y, z);
  };
  return {
    // A fin in the middle meets the air along it in the symmetric half as well.
    along: Float64Array.from(nodes, (node) => (node.side === 0 && isEven ? airAt(node)[0] : of(node, airAt(node)[0]))),
    across: Float64Array.from(nodes, (node, index) => {
      const [, v, w] = airAt(node);
      // What of the circulation the strip has not by its own angle, the wash of all takes from it.
      const induced = (2 * strength[index]!) / (node.chord * node.section.slope) - upwash[index]!;
      return of(node, node.up[0] * v + node.up[1] * w) + induced;
    }),
    strength,
    own: upwash,
  };
}

/** Circulation that a unit upwash at a strip brings every other one, from the factors of both halves; a row for each strip with the upwash. */
function answersOf({ matrices, lattice }: AeroModel, nodes: readonly Node[]): Float64Array {
  const { count } = lattice.cells;
  const strips = lattice.strips.length;
  const halves = (['symmetric', 'antisymmetric'] as const).map((parity) =>
    lattice.strips.map((_, strip) => {
      const right = new Float64Array(lattice.panels);
      const isSilent = parity === 'symmetric' && !lattice.doubled[strip * count];
      if (!isSilent) right.fill(-1, strip * count, (strip + 1) * count);
      const circulation = solveFactored(matrices[parity].factors, right);
      return Float64Array.from({ length: strips }, (__, other) => {
        let sum = 0;
        for (let k = 0; k < count; k++) sum += circulation[other * count + k]!;
        return sum;
      });
    }),
  ) as [Float64Array[], Float64Array[]];
  const size = nodes.length;
  const answers = new Float64Array(size * size);
  nodes.forEach((from, row) =>
    nodes.forEach((to, column) => {
      const [even, odd] = [halves[0][from.strip]![to.strip]!, halves[1][from.strip]![to.strip]!];
      const sign = (to.side === -1 ? -1 : 1) * (from.side === -1 ? -1 : 1);
      // From one side alone: half of both halves; a middle surface is a half problem of its own.
      answers[row * size + column] =
        from.side === 0
          ? to.side === 0
            ? odd
            : sign * odd
          : to.side === 0
            ? (sign * odd) / 2
            : (even + sign * odd) / 2;
    }),
  );
  return answers;
}
