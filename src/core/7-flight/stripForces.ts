import { profileDrag } from '@/core/3-shape/section/lowReynolds';
import { INTERFERENCE_FACTOR } from '@/core/5-aero/polar';
import { attachedMeeting, behindQuarter, meetingLoads, PLATE_FROM } from './separation';
import type { StripNode } from './stripNodes';
import { WHOLE } from './washBalance';

/** Lag of the separation: time over chord and speed, of the flow and of its answer to a growing angle (Goman & Khrabrov). C. */
const LAG = 4.5;

/** The air that strips meet, and what jets add to it. */
export interface MetAir {
  /** Air along the chord, and square to the board with the wash of all with attached flow [m/s]. */
  readonly along: Float64Array;
  readonly across: Float64Array;
  /** Circulation with attached flow, what the wash of others adds, and the upwash that stands for what is missing. */
  readonly strength: Float64Array;
  readonly wash: Float64Array;
  readonly missing: Float64Array;
  /** Of jets: speed along the chord, circulation, and air square to the board. */
  readonly faster: Float64Array;
  readonly gained: Float64Array;
  readonly risen: Float64Array;
}

/** Share of attached flow that every strip would come to, and the time constant over the chord and speed; written into. */
export interface Told {
  readonly steady: Float64Array;
  readonly pace: Float64Array;
}

/** Sums over all strips: force and moment as they are, as the lattice has them, and the squares of what circulates attached and as it is. */
export const SUMS = { own: 0, lattice: 6, full: 12, left: 13, all: 14 } as const;

/**
 * What strips bear beside their attached load: friction, what a jet adds, and
 * all that separation changes. It is asked for thousands of times in a flight:
 * one loop over tables, nothing made on the way.
 */
export function stripForces(nodes: readonly StripNode[], reach: Float64Array) {
  const of = (pick: (node: StripNode) => number) => Float64Array.from(nodes, pick);
  const [chord, width] = [of((node) => node.chord), of((node) => node.width)];
  // In the mirror of the left one y and what points along it are the other way.
  const [x, y, z] = [
    of(({ place }) => place[0]),
    of(({ place, side }) => mirrored(side, place[1])),
    of(({ place }) => place[2]),
  ];
  const [upY, upZ] = [of(({ up, side }) => mirrored(side, up[0])), of(({ up }) => up[1])];
  const [most, least] = [of(({ data }) => data.maximumLift), of(({ data }) => -data.invertedLift)];
  /** Sines of the angles at which the flow begins to leave, above and below. */
  const above = of(({ section }) => Math.sin(Math.min(PLATE_FROM, section.leavesAbove)));
  const below = of(({ section }) => -Math.sin(Math.min(PLATE_FROM, section.leavesBelow)));
  /** Right ones of pairs: their left comes next. */
  const isFirst = of(({ side }) => Number(side === 1));
  const bearing = { lift: 0, drag: 0 };
  const sums = new Float64Array(SUMS.all);
  const both = new Float64Array(SUMS.full);

  /** Adds a force on a strip, along x and up from its board, so far behind its quarter chord. */
  const add = (at: number, i: number, ahead: number, normal: number, behind: number): void => {
    const [fy, fz] = [normal * upY[i]!, normal * upZ[i]!];
    const px = x[i]! + behind;
    both[at]! += ahead;
    both[at + 1]! += fy;
    both[at + 2]! += fz;
    both[at + 3]! += y[i]! * fz - z[i]! * fy;
    both[at + 4]! += z[i]! * ahead - px * fz;
    both[at + 5]! += px * fy - y[i]! * ahead;
  };

  /** Speed of the air square to the zero-lift line. */
  const normalAt = (i: number, { strength, wash, gained, missing }: MetAir): number =>
    (strength[i]! + wash[i]! + gained[i]!) / reach[i]! - missing[i]!;

  /** Well within what the attached flow holds: no angle needs to be known. */
  const isBelowStall = (i: number, flow: number, sine: number): boolean =>
    flow > 0 && sine < above[i]! && sine > below[i]!;

  const tellStrip = (i: number, speed: number, share: number, { steady, pace }: Told): void => {
    steady[i] = share;
    pace[i] = speed / (LAG * chord[i]!);
  };

  const addStrip = (i: number, met: MetAir, attached: number, told: Told | undefined): void => {
    const { section, data } = nodes[i]!;
    const flow = met.along[i]! + met.faster[i]!;
    const normal = normalAt(i, met);
    const speedMet = Math.sqrt(normal * normal + flow * flow);
    const sine = speedMet > 0 ? normal / speedMet : 0;
    const cosine = speedMet > 0 ? flow / speedMet : 1;
    const isWhole = attached >= WHOLE && isBelowStall(i, flow, sine);
    if (told) tellStrip(i, speedMet, isWhole ? 1 : attachedMeeting(section, sine), told);
    // Where the air really comes from: what is missing changes the wash beside it.
    const upwards = met.across[i]! + met.risen[i]! + met.wash[i]! / reach[i]! - met.missing[i]!;
    const speed = Math.sqrt(flow * flow + upwards * upwards);
    if (speed < 1e-9) return;
    let behind = 0;
    if (isWhole) {
      bearing.lift = section.slope * sine;
      bearing.drag = 0;
    } else {
      meetingLoads(section, sine, cosine, attached, bearing);
      behind = chord[i]! * behindQuarter(sine, cosine, attached);
    }
    const { lift, drag } = bearing;
    const friction = INTERFERENCE_FACTOR * profileDrag(data, Math.min(most[i]!, Math.max(least[i]!, lift)));
    // Lift by the circulation in the air as it comes, so that attached it is the lattice’s own. Of its force what is along the air is over the speed once.
    const half = (chord[i]! * width[i]!) / 2;
    const lifting = half * speedMet * lift;
    const dragging = half * (speedMet * drag + speed * friction);
    add(SUMS.own, i, dragging * flow - lifting * upwards, dragging * upwards + lifting * flow, behind);
    // The same strip as the lattice has it.
    const circulating = met.strength[i]! * width[i]!;
    add(SUMS.lattice, i, -circulating * met.across[i]!, circulating * met.along[i]!, 0);
  };

  /** What every strip would come to, and nothing else. */
  function tell(met: MetAir, attached: ArrayLike<number>, told: Told): void {
    for (let i = 0; i < nodes.length; i++) {
      const flow = met.along[i]! + met.faster[i]!;
      const normal = normalAt(i, met);
      const speed = Math.sqrt(normal * normal + flow * flow);
      const sine = speed > 0 ? normal / speed : 0;
      const isWhole = attached[i]! >= WHOLE && isBelowStall(i, flow, sine);
      tellStrip(i, speed, isWhole ? 1 : attachedMeeting(nodes[i]!.section, sine), told);
    }
  }

  /** All sums; overwritten at the next call. */
  function sumUp(met: MetAir, attached: ArrayLike<number>, told: Told | undefined): Float64Array {
    sums.fill(0);
    both.fill(0);
    for (let i = 0; i < nodes.length; i++) {
      addStrip(i, met, attached[i]!, told);
      const circulating = met.strength[i]!;
      sums[SUMS.full]! += width[i]! * circulating * circulating;
      sums[SUMS.left]! += width[i]! * circulating * (circulating + met.wash[i]!);
      // Both sides first by themselves: what is opposite is then nothing at all, and a straight flight stays straight.
      if (isFirst[i]) continue;
      for (let axis = 0; axis < SUMS.full; axis++) {
        sums[axis]! += both[axis]!;
        both[axis] = 0;
      }
    }
    return sums;
  }

  return { tell, sumUp };
}

const mirrored = (side: StripNode['side'], value: number): number => (side === -1 ? -value : value);
